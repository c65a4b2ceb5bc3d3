'use client';

import { useWords } from '@/ui/words';
import { useState, type FormEvent } from 'react';
import { personSchema } from '@/core/shop/run';
import { changeSettings } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { notifyProblem, notifyWrong } from '@/ui/notify';
import { useShop } from '../shell/shopContext';
import { PressButton } from './PressButton';
import { personHere, setPersonHere } from './tap';

/** Who presses at this screen: times are learned by person. Nobody has to say. */
export function Who() {
  const t = useWords();
  const { shop } = useShop();
  const { people } = shop.settings;
  const [open, setOpen] = useState(false);
  const [person, setPerson] = useState(personHere);
  const [typed, setTyped] = useState('');
  const choose = (name: string) => {
    setPersonHere(name);
    setPerson(name);
    setOpen(false);
  };
  const add = async (e: FormEvent) => {
    e.preventDefault();
    const name = personSchema.safeParse(typed.trim());
    if (!name.success) return notifyWrong(t('press.nameHas124'));
    const r = await changeSettings((s) =>
      s.people.includes(name.data) ? s : { ...s, people: [...s.people, name.data].slice(-12) },
    );
    if (!r.ok) return notifyProblem(r.problem);
    setTyped('');
    choose(name.data);
  };
  return (
    <>
      <PressButton onClick={() => setOpen(true)}>
        {person === '' ? t('press.operators') : t('press.operator', { person })}
      </PressButton>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={t('press.operators')}
        about={t('press.stepTimesLearnedEach')}
      >
        <ul className="grid gap-2">
          {[...people, ''].map((name) => (
            <li key={name}>
              <button
                type="button"
                aria-pressed={name === person}
                onClick={() => choose(name)}
                className={`min-h-16 w-full border-2 border-ink px-4 text-left font-label text-name font-semibold ${name === person ? 'bg-strata-3 text-white' : 'hover:bg-board'}`}
              >
                {name === '' ? t('press.noOperator') : name}
              </button>
            </li>
          ))}
        </ul>
        <form onSubmit={(e) => void add(e)} className="mt-3 flex gap-2">
          <label className="flex flex-1 items-center gap-2 font-label font-semibold">
            {t('common.name')}
            <input
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
              maxLength={24}
              className="min-h-12 min-w-0 flex-1 border-2 border-ink px-2"
            />
          </label>
          <Button type="submit">{t('press.add')}</Button>
        </form>
      </Dialog>
    </>
  );
}
