'use client';

import { Trash2, Type } from 'lucide-react';
import { FONTS } from '@/core/art/fonts';
import type { Words } from '@/core/job/job';
import { fail, ok, type Result } from '@/core/result';
import { Button } from '@/ui/Button';
import { LengthField } from '@/ui/LengthField';
import { Pick } from '@/ui/Pick';
import { TypedField } from '@/ui/TypedField';
import { useJob } from '../job/jobContext';

const START: Omit<Words, 'dxMm'> = {
  text: 'Name',
  font: 'narrow',
  capHeightMm: 12,
  dyMm: 0,
  colour: '#f4efe0',
};

const readWords = (text: string): Result<string> => {
  const clean = text.trim();
  if (clean === '') return fail('No words are left.', 'Words', 'Type some, or take the words off.');
  return clean.length > 60
    ? fail('That is too long for one line.', 'Words', 'Keep it under 60 letters.')
    : ok(clean);
};

/** Words set over the picture, in a font that ships with the application. */
export function WordsTools({ onChoose }: { onChoose: () => void }) {
  const { job, plan, edit } = useJob();
  const { words } = job.art;
  const put = (next: Partial<Words>, group?: string) =>
    edit((j) => (j.art.words ? { ...j, art: { ...j.art, words: { ...j.art.words, ...next } } } : j), group);
  const add = () => {
    const pattern = plan.wrap.pattern;
    // Words start at the front, which printing over moves off the middle of the sheet.
    const dxMm = pattern?.front ? pattern.front.x - pattern.trim.width / 2 : 0;
    edit((j) => ({
      ...j,
      art: { ...j.art, words: { ...START, dxMm, colour: j.art.picture ? START.colour : '#14211f' } },
    }));
    onChoose();
  };
  if (!words) {
    return (
      <div className="border-t border-rule bg-sheet/80 px-5 py-2">
        <Button onClick={add}>
          <Type size={18} aria-hidden /> Set words on it
        </Button>
      </div>
    );
  }
  return (
    <div
      className="flex flex-wrap items-end gap-x-3 gap-y-2 border-t border-rule bg-sheet/80 px-4 py-2"
      onFocus={onChoose}
    >
      <TypedField
        label="Words"
        text={words.text}
        taken
        width="w-40"
        parse={readWords}
        onValue={(text) => put({ text }, 'words')}
      />
      <div className="font-label">
        <span className="block text-fine leading-tight font-medium text-soft">Lettering</span>
        <Pick
          label="Lettering"
          value={words.font}
          options={FONTS.map((f) => ({ value: f.id, label: f.label }))}
          onChange={(font) => put({ font })}
          className="w-28"
        />
      </div>
      <LengthField
        label="Capitals"
        valueMm={words.capHeightMm}
        minMm={1}
        maxMm={120}
        taken
        width="w-14"
        onValue={(capHeightMm) => put({ capHeightMm }, 'cap')}
      />
      <LengthField
        label="Across"
        valueMm={words.dxMm}
        minMm={-1000}
        maxMm={1000}
        signed
        taken
        width="w-16"
        onValue={(dxMm) => put({ dxMm }, 'wdx')}
      />
      <LengthField
        label="Down"
        valueMm={words.dyMm}
        minMm={-1000}
        maxMm={1000}
        signed
        taken
        width="w-16"
        onValue={(dyMm) => put({ dyMm }, 'wdy')}
      />
      <label className="font-label text-fine font-medium text-soft">
        <span className="block leading-tight">Colour</span>
        <input
          type="color"
          value={words.colour}
          onChange={(e) => put({ colour: e.target.value }, 'colour')}
          className="h-9 w-12 border-2 border-ink bg-white p-0.5"
        />
      </label>
      <Button
        aria-label="Take the words off"
        title="Take the words off"
        className="px-2"
        onClick={() => edit((j) => ({ ...j, art: { ...j.art, words: null } }))}
      >
        <Trash2 size={18} aria-hidden />
      </Button>
    </div>
  );
}
