'use client';

import { useState } from 'react';
import { DRAWN_PICTURES } from '@/core/art/drawn';
import { START_PLACEMENT, type PictureRef } from '@/core/job/job';
import { bringPicture } from '@/data/pictures';
import { tellProblem } from '@/ui/tell';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { ArtBoard } from './ArtBoard';
import { PictureTools } from './PictureTools';
import { WordsTools } from './WordsTools';

export type Chosen = 'picture' | 'words';

/** The picture on the wrap: brought, drawn, moved, scaled and turned; and words over it. */
export function ArtView() {
  const { plan, edit } = useJob();
  const [chosen, setChosen] = useState<Chosen>('picture');
  const [over, setOver] = useState(false);
  const [busy, setBusy] = useState(false);

  const setPicture = (picture: PictureRef) => {
    edit((j) => ({ ...j, art: { ...j.art, picture, placement: START_PLACEMENT } }));
    setChosen('picture');
  };
  const bring = async (file: File) => {
    setBusy(true);
    const r = await bringPicture(file);
    setBusy(false);
    if (r.ok) setPicture(r.value);
    else tellProblem(r.problem);
  };
  if (!plan.blank.blank) return <NeedsBlank />;
  return (
    <div
      className="absolute inset-0 flex flex-col overflow-y-auto"
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        e.preventDefault();
        setOver(false);
        const [file] = e.dataTransfer.files;
        if (file) void bring(file);
      }}
    >
      <div className="flex min-h-[24rem] flex-[1_0_auto] flex-col sm:flex-row">
        <PictureTools onBring={(f) => void bring(f)} onDraw={setPicture} drawn={DRAWN_PICTURES} busy={busy} />
        <div
          className={`relative min-h-[22rem] flex-1 ${over ? 'outline-4 -outline-offset-8 outline-strata-3 outline-dashed' : ''}`}
        >
          <ArtBoard chosen={chosen} onChoose={setChosen} />
        </div>
      </div>
      <WordsTools onChoose={() => setChosen('words')} />
    </div>
  );
}
