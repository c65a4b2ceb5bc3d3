'use client';

import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { useMemo, useState } from 'react';
import { MOST_LAYERS, textLayer, type PictureRef } from '@/core/job/art';
import { isRound } from '@/core/shop/blank';
import { newId } from '@/data/ids';
import { importPicture } from '@/data/pictures';
import { DroppedDialog, sayDropped } from './DroppedDialog';
import { date } from '@/core/message/quantity';
import { templateFor } from '@/core/sheet/template';
import { notify, notifyProblem } from '@/ui/notify';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { ArtEditor } from './ArtBoard';
import { ArtBar, type ArtShows } from './ArtBar';
import { ArtHandContext } from './artContext';
import { ArtChecks } from './Checks';
import { LayerList } from './LayerList';
import { withLayer, isFull, newPicture, replaced, withPicture } from './layers';
import { BentArt } from './OnPaper';
import { OnBlank } from './OnBlank';
import { OnTaper } from './OnTaper';
import { PictureTools } from './PictureTools';
import { ProofSheet } from './ProofSheet';
import { whileReading } from './reading';
import { SeamFinder } from './SeamFinder';
import { TextTools } from './TextTools';

/** The art on the wrap: pictures and words in layers, names, the seam, and what it will look like. */
export function ArtView() {
  const t = useWords();
  const { job, plan, edit, store } = useJob();
  const first = job.art.layers[0]?.id ?? null;
  const [picked, choose] = useState<string | null>(first);
  const [shown, show] = useState<string | null>(null);
  const [piece, turnTo] = useState(0);
  const [shows, setShows] = useState<ArtShows>('board');
  const [over, setOver] = useState(false);
  const [busy, setBusy] = useState(false);
  const chosen = job.art.layers.some((l) => l.id === picked) ? picked : null;
  const hand = useMemo(
    () => ({
      chosen,
      choose,
      shown,
      show,
      piece: Math.min(piece, Math.max(0, plan.art.pieces.length - 1)),
      turnTo,
    }),
    [chosen, shown, piece, plan.art.pieces.length],
  );

  const full = (): boolean => {
    if (!isFull(store.getState().job)) return false;
    notifyProblem({
      what: say('art.thereLayersAlready', { mostLayers: MOST_LAYERS }),
      where: say('job.art'),
      wayOut: say('art.removeOneUnderLayers'),
    });
    return true;
  };
  const add = (picture: PictureRef) => {
    if (full()) return;
    const id = newId('picture');
    const template = templateFor(store.getState().job.art.templates, picture);
    edit((j) => withPicture(j, newPicture(j, id, picture), plan.wrap.pattern, template));
    if (template) notify(t('art.isTemplate', { when: date(template.savedAt, 'day') }));
    choose(id);
    setShows('board');
  };
  const importFile = async (files: readonly File[], instead: string | null = null) => {
    setBusy(true);
    for (const file of files) {
      const r = await whileReading(file.name, importPicture(file, sayDropped));
      if (!r.ok) notifyProblem(r.problem);
      else if (instead) edit(replaced(instead, r.value));
      else add(r.value);
    }
    setBusy(false);
  };
  const addText = () => {
    if (full()) return;
    const id = newId('text');
    const { pattern } = plan.wrap;
    // Words start at the front, which printing over moves off the middle of the sheet.
    const dxMm = pattern?.front ? pattern.front.x - pattern.trim.width / 2 : 0;
    const onPicture = job.art.layers.some((l) => l.kind === 'picture');
    edit(
      withLayer(
        textLayer(id, t('common.name'), { dxMm, colour: onPicture ? '#f4efe0' : '#14211f', capHeightMm: 12 }),
      ),
    );
    choose(id);
    setShows('board');
  };
  if (!plan.blank.blank) return <NeedsBlank />;
  const layer = job.art.layers.find((l) => l.id === chosen);
  return (
    <ArtHandContext value={hand}>
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
          void importFile([...e.dataTransfer.files]);
        }}
      >
        <ArtBar
          shows={shows}
          onShows={setShows}
          round={isRound(plan.blank.blank)}
          busy={busy}
          onImport={(f) => void importFile(f)}
          onDraw={add}
          onText={addText}
        />
        <div className="flex min-h-[24rem] flex-1 flex-col sm:flex-row">
          {shows === 'board' && (
            <div className="flex shrink-0 flex-col gap-3 border-b border-rule bg-sheet/80 px-3 py-2.5 sm:h-0 sm:min-h-full sm:w-52 sm:overflow-y-auto sm:border-r sm:border-b-0">
              <LayerList />
              <OnTaper />
              {layer?.kind === 'picture' && (
                <PictureTools layer={layer} onReplace={(f) => void importFile([f], layer.id)} />
              )}
              {layer?.kind === 'text' && <TextTools layer={layer} />}
            </div>
          )}
          <div
            className={`relative min-h-[22rem] flex-1 ${over ? 'outline-4 -outline-offset-8 outline-strata-3 outline-dashed' : ''}`}
          >
            {shows === 'board' && <ArtEditor />}
            {shows === 'paper' && <BentArt />}
            {shows === 'blank' && <OnBlank />}
            {shows === 'seam' && <SeamFinder />}
            {shows === 'proof' && <ProofSheet />}
          </div>
        </div>
        {(shows === 'board' || shows === 'paper') && <ArtChecks />}
      </div>
      <DroppedDialog />
    </ArtHandContext>
  );
}
