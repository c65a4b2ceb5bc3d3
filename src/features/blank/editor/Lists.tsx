'use client';

import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { EDGES } from '@/core/shop/blank';
import { fail, ok } from '@/core/basics/result';
import { newId } from '@/data/ids';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';
import { Segments } from '@/ui/Segments';
import { TypedField } from '@/ui/TypedField';
import {
  addBetween,
  addHole,
  addZone,
  betweenMm,
  changeBetween,
  changeHole,
  changeZone,
  dimMm,
  withoutBetween,
  withoutHole,
  withoutZone,
  type Draft,
  type DraftHole,
  type DraftZone,
} from './draft';
import { Entry, type Change } from './Drawing';

interface Props {
  readonly draft: Draft;
  readonly change: Change;
  readonly round: boolean;
}

/** What stands on the wall or the plate besides its main lengths: each lettered as on the drawing. */
export const Lists = (props: Props) =>
  props.draft.start.kind === 'round' ? <RoundLists {...props} /> : <FlatLists {...props} />;

interface ItemProps {
  readonly letter: string;
  readonly removes: string;
  readonly onRemove: () => void;
  readonly children: ReactNode;
}

const Item = ({ letter, removes, onRemove, children }: ItemProps) => {
  const t = useWords();
  return (
    <li className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-rule py-1.5">
      <span
        aria-hidden
        className="grid size-6 shrink-0 place-items-center self-center bg-measured font-label text-fine font-semibold text-white"
      >
        {letter}
      </span>
      {children}
      <button
        type="button"
        aria-label={t('blank.remove', { removes })}
        onClick={onRemove}
        className="ml-auto grid size-9 place-items-center hover:bg-board"
      >
        <X size={16} aria-hidden />
      </button>
    </li>
  );
};

function RoundLists({ draft, change, round }: Props) {
  const t = useWords();
  const factor = round ? Math.PI : 1;
  const height = dimMm(draft, 'height');
  return (
    <div className="grid content-start gap-3">
      {(draft.start.dims.handleWidth ?? 0) > 0 && (
        <section>
          <h3 className="font-name text-lead font-semibold">{t('blank.handle')}</h3>
          <div className="flex flex-wrap gap-x-3 gap-y-1">
            <Entry draft={draft} change={change} dim="handleWidth" label={t('blank.itsWidth')} />
            <Entry draft={draft} change={change} dim="handleFrom" label={t('blank.startsBelowRim')} />
            <Entry draft={draft} change={change} dim="handleHeight" label={t('common.itsHeight')} />
            <Entry draft={draft} change={change} dim="handleReach" label={t('blank.standsOut')} />
          </div>
        </section>
      )}
      <section>
        <ul>
          {draft.between.map((b, i) => {
            const { fromRimMm, diameterMm } = betweenMm(draft, b);
            const letter = String.fromCharCode(65 + i);
            return (
              <Item
                key={b.id}
                letter={letter}
                removes={t('blank.widthLetter', { letter })}
                onRemove={() => change((d) => withoutBetween(d, b.id))}
              >
                <LengthField
                  label={t('blank.belowRim')}
                  valueMm={fromRimMm}
                  minMm={0}
                  maxMm={height}
                  byHand={b.fromRimMm !== null}
                  width="w-16"
                  onValue={(v) => change((d) => changeBetween(d, b.id, { fromRimMm: v }))}
                />
                <LengthField
                  label={round ? t('blank.circumferenceThere') : t('blank.diameterThere')}
                  valueMm={diameterMm * factor}
                  minMm={5 * factor}
                  maxMm={400 * factor}
                  byHand={b.diameterMm !== null}
                  width="w-16"
                  onValue={(v) => change((d) => changeBetween(d, b.id, { diameterMm: v / factor }))}
                />
              </Item>
            );
          })}
          {draft.zones.map((z, i) => (
            <Zone key={z.id} zone={z} at={i} height={height} change={change} />
          ))}
        </ul>
        <div className="mt-2 flex flex-wrap gap-2">
          {draft.between.length < 22 && (
            <Button onClick={() => change((d) => addBetween(d, newId('width')))}>
              <Plus size={16} aria-hidden /> {t('blank.diameterBetween')}
            </Button>
          )}
          {draft.zones.length < 8 && (
            <Button onClick={() => change((d) => addZone(d, newId('zone')))}>
              <Plus size={16} aria-hidden /> {t('blank.exclusionZone')}
            </Button>
          )}
        </div>
      </section>
    </div>
  );
}

interface ZoneProps {
  readonly zone: DraftZone;
  readonly at: number;
  readonly height: number;
  readonly change: Change;
}

function Zone({ zone: z, at, height, change }: ZoneProps) {
  const t = useWords();
  const put = (next: Parameters<typeof changeZone>[2]) => change((d) => changeZone(d, z.id, next));
  return (
    <Item
      letter={String(at + 1)}
      removes={t('blank.placeKeptClear', { at: at + 1 })}
      onRemove={() => change((d) => withoutZone(d, z.id))}
    >
      <TypedField
        label={t('blank.excludedPart')}
        text={z.what}
        width="w-28"
        parse={(t) =>
          t.trim() === ''
            ? fail(say('blank.sayWhat'), say('blank.excludedPart'), say('blank.suchStamp'))
            : ok(t.trim().slice(0, 80))
        }
        onValue={(what) => put({ what })}
      />
      <LengthField
        label={t('blank.belowRim')}
        valueMm={z.fromRimMm}
        minMm={0}
        maxMm={height}
        byHand
        width="w-16"
        onValue={(fromRimMm) => put({ fromRimMm })}
      />
      <LengthField
        label={t('common.height')}
        valueMm={z.heightMm}
        minMm={1}
        maxMm={400}
        byHand
        width="w-16"
        onValue={(heightMm) => put({ heightMm })}
      />
      <Segments
        label={t('blank.howFarPlaceGoes', { at: at + 1 })}
        value={z.widthMm === null ? 'round' : 'patch'}
        onChange={(v) => put({ widthMm: v === 'round' ? null : 40 })}
        options={[
          { value: 'round', label: t('blank.rightRound') },
          { value: 'patch', label: t('blank.aPatch') },
        ]}
      />
      {z.widthMm !== null && (
        <>
          <LengthField
            label={t('blank.itsWidth')}
            valueMm={z.widthMm}
            minMm={1}
            maxMm={1300}
            byHand
            width="w-16"
            onValue={(widthMm) => put({ widthMm })}
          />
          <NumberField
            label={t('blank.rightFront')}
            unit="°"
            value={z.atDeg}
            min={-180}
            max={180}
            byHand
            onValue={(atDeg) => put({ atDeg })}
          />
        </>
      )}
    </Item>
  );
}

function FlatLists({ draft, change }: Props) {
  const t = useWords();
  return (
    <div className="grid content-start gap-3">
      <div className="flex flex-wrap items-end gap-4">
        <Labelled label={t('blank.printedOn')}>
          <Segments
            label={t('blank.printedOn')}
            value={draft.faces === 2 ? '2' : '1'}
            onChange={(v) => change((d) => ({ ...d, faces: v === '2' ? 2 : 1 }))}
            options={[
              { value: '1', label: t('blank.oneFace') },
              { value: '2', label: t('art.bothFaces') },
            ]}
          />
        </Labelled>
        <Labelled label={t('blank.itsEdge')}>
          <Segments
            label={t('blank.itsEdge')}
            value={draft.edge}
            onChange={(edge) => change((d) => ({ ...d, edge }))}
            options={EDGES.map((e) => ({ value: e, label: e }))}
          />
        </Labelled>
      </div>
      <ul>
        {draft.holes.map((h, i) => (
          <HoleItem key={h.id} hole={h} at={i} draft={draft} change={change} />
        ))}
      </ul>
      {draft.holes.length < 16 && (
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => change((d) => addHole(d, newId('hole'), 'round'))}>
            <Plus size={16} aria-hidden /> {t('blank.aHole')}
          </Button>
          <Button onClick={() => change((d) => addHole(d, newId('hole'), 'slot'))}>
            <Plus size={16} aria-hidden /> {t('blank.aSlot')}
          </Button>
        </div>
      )}
    </div>
  );
}

interface HoleProps {
  readonly hole: DraftHole;
  readonly at: number;
  readonly draft: Draft;
  readonly change: Change;
}

function HoleItem({ hole: h, at, draft, change }: HoleProps) {
  const t = useWords();
  const put = (next: Partial<DraftHole>) => change((d) => changeHole(d, h.id, next));
  const length = (
    label: string,
    valueMm: number,
    minMm: number,
    maxMm: number,
    onValue: (v: number) => void,
  ) => (
    <LengthField
      label={label}
      valueMm={valueMm}
      minMm={minMm}
      maxMm={maxMm}
      byHand
      width="w-16"
      onValue={onValue}
    />
  );
  return (
    <Item
      letter={String(at + 1)}
      removes={t('blank.holeNumber', { form: h.form, at: at + 1 })}
      onRemove={() => change((d) => withoutHole(d, h.id))}
    >
      {length(t('art.fromLeft'), h.xMm, 0, dimMm(draft, 'width'), (xMm) => put({ xMm }))}
      {length(t('art.fromTop'), h.yMm, 0, dimMm(draft, 'height'), (yMm) => put({ yMm }))}
      {h.form === 'round'
        ? length(t('measure.diameter'), h.diameterMm, 0.5, 300, (diameterMm) => put({ diameterMm }))
        : length(t('blank.slotWidth'), h.widthMm, 0.5, 300, (widthMm) => put({ widthMm }))}
      {h.form === 'slot' &&
        length(t('blank.slotHeight'), h.heightMm, 0.5, 300, (heightMm) => put({ heightMm }))}
    </Item>
  );
}
