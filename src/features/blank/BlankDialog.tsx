'use client';

import { inTurn } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useState } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import type { Problem } from '@/core/basics/result';
import type { Blank } from '@/core/shop/blank';
import { saveBlank } from '@/data/shop';
import { newId } from '@/data/ids';
import { Button } from '@/ui/Button';
import { fieldsOf } from '@/ui/form';
import { Segments } from '@/ui/Segments';
import { Dialog } from '@/ui/Dialog';
import { useUnits } from '@/ui/units';
import { notifyProblem } from '@/ui/notify';
import { shownLengths } from '../shop/shopForm';
import { aboutOf, aboutSchema, blankFrom, type AboutIn, type AboutOut } from './editor/about';
import { AboutFields } from './editor/AboutFields';
import {
  draftOf,
  draftShape,
  newDraft,
  rawShape,
  restarted,
  stillNeeded,
  type Draft,
  type Drawn,
} from './editor/draft';
import { Drawing, type Change } from './editor/Drawing';
import { Lists } from './editor/Lists';
import { Starts } from './editor/Starts';
import { OutlineFile } from './OutlineFile';
import { OutlineFromPicture } from './OutlineFromPicture';
import { SaveOutline } from './SaveOutline';

const { Text } = fieldsOf<AboutIn>();

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly blank?: Blank | null;
  /** Starts from the blank given but keeps it: a new one of its own. */
  readonly copy?: boolean;
  readonly onSaved?: (blank: Blank) => void;
}

/** A blank typed on its drawing: the shape by its picture, the lengths at their lines, the rest below. */
export function BlankDialog({ open, onClose, blank = null, copy = false, onSaved }: Props) {
  const t = useWords();
  return (
    <Dialog
      open={open}
      onClose={onClose}
      wide
      title={
        blank
          ? copy
            ? t('blank.duplicate', { blank: blank.name })
            : t('blank.change', { blank: blank.name })
          : t('blank.addBlank')
      }
      about={t('blank.startMakersFiguresYour')}
    >
      <BlankEditor blank={blank} copy={copy} onClose={onClose} onSaved={onSaved} />
    </Dialog>
  );
}

interface Drafted {
  readonly draft: Draft;
  /** The last shape that could be drawn. */
  readonly shape: Blank['shape'];
  readonly problem: Problem | null;
}

function drafted(draft: Draft, before: Blank['shape'] | null): Drafted {
  const made = draftShape(draft);
  return made.ok
    ? { draft, shape: made.value, problem: null }
    : { draft, shape: before ?? rawShape(newDraft('cup')), problem: made.problem };
}

function BlankEditor({ blank = null, copy = false, onClose, onSaved }: Omit<Props, 'open'>) {
  const t = useWords();
  const units = useUnits();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => aboutSchema(units.length, shown), [units.length, shown]);
  const [state, setState] = useState(() => drafted(blank ? draftOf(blank) : newDraft('cup'), null));
  const [asked, setAsked] = useState(false);
  const [round, setRound] = useState(false);
  const { draft, shape, problem } = state;
  const change: Change = (next) => setState((s) => drafted(next(s.draft), s.shape));
  const form = useForm<AboutIn, unknown, AboutOut>({
    resolver: zodResolver(schema),
    defaultValues: {
      ...aboutOf(blank, draft.start, shown),
      ...(copy && blank ? { name: t('blank.copy', { blank: blank.name }).slice(0, 80) } : {}),
    },
    mode: 'onBlur',
  });
  const [colour, finish, stock] = useWatch({ control: form.control, name: ['colour', 'finish', 'stock'] });
  const needed = stillNeeded(draft) ?? (problem && inTurn(problem.what, problem.wayOut));

  const onDrawn = (drawn: Drawn, widthMm: number, heightMm: number) =>
    change((d) => ({ ...d, drawn, typed: { ...d.typed, width: widthMm, height: heightMm } }));
  const start = (id: string) => {
    const next = restarted(draft, id);
    change(() => next);
    if (blank || form.formState.dirtyFields.family || form.formState.dirtyFields.material) return;
    form.setValue('family', next.start.family);
    form.setValue('material', next.start.material);
    form.setValue('wall', next.start.family === 'tumbler' ? 'vacuum' : 'single');
  };
  const save = async (about: AboutOut) => {
    if (needed) return;
    const made = blankFrom(about, shape, blank && !copy ? blank.id : newId('blank'));
    if (!made.ok) {
      notifyProblem(made.problem);
      return;
    }
    const r = await saveBlank(made.value);
    if (!r.ok) {
      notifyProblem(r.problem);
      return;
    }
    onSaved?.(made.value);
    onClose();
  };
  return (
    <FormProvider {...form}>
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          setAsked(true);
          void form.handleSubmit(save)(e);
        }}
        noValidate
      >
        <Text name="name" label={t('common.name')} placeholder={t('blank.n600MlStraightSteel')} />
        <Starts draft={draft} onStart={start} />
        <div className="grid gap-4 md:grid-cols-[minmax(26rem,1fr)_minmax(15rem,19rem)]">
          <Drawing
            draft={draft}
            shape={shape}
            coating={{ colour, finish, stock }}
            change={change}
            round={round}
          />
          <div className="grid content-start gap-3">
            {draft.start.kind === 'round' && (
              <Segments
                label={t('blank.widthsGiven')}
                value={round ? 'round' : 'across'}
                onChange={(v) => setRound(v === 'round')}
                options={[
                  { value: 'across', label: t('blank.diameterCaliper') },
                  { value: 'round', label: t('blank.circumferenceTape') },
                ]}
              />
            )}
            <Lists draft={draft} change={change} round={round} />
            {draft.start.form === 'drawn' && (
              <>
                <OutlineFile drawn={draft.drawn} onDrawn={onDrawn} />
                <OutlineFromPicture onDrawn={onDrawn} />
              </>
            )}
            {shape.kind === 'flat' && !needed && <SaveOutline name={form.getValues('name')} shape={shape} />}
          </div>
        </div>
        <AboutFields />
        <div className="flex flex-wrap items-center justify-end gap-3">
          {needed && (asked || problem) && (
            <p role="alert" className="mr-auto font-medium text-act-deep">
              {t(needed)}
            </p>
          )}
          <Button onClick={onClose}>{t('common.cancel')}</Button>
          <Button kind="act" type="submit">
            {t('blank.saveBlank')}
          </Button>
        </div>
      </form>
    </FormProvider>
  );
}
