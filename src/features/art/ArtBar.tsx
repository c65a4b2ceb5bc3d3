'use client';

import { PICTURE_FILES } from './pictureFiles';
import { useWords } from '@/ui/words';
import { ImagePlus } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { DRAWN_PICTURES } from '@/core/art/drawn';
import type { PictureRef } from '@/core/job/art';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';
import { NamesDialog } from './NamesDialog';
import { TemplateDialog } from './TemplateDialog';

export type ArtShows = 'board' | 'paper' | 'blank' | 'seam' | 'proof';

interface Props {
  readonly shows: ArtShows;
  readonly onShows: (s: ArtShows) => void;
  readonly round: boolean;
  readonly busy: boolean;
  readonly onImport: (files: readonly File[]) => void;
  readonly onDraw: (ref: PictureRef) => void;
  readonly onText: () => void;
}

/** What can be put on the wrap, and the ways to look at it. */
export function ArtBar({ shows, onShows, round, busy, onImport, onDraw, onText }: Props) {
  const t = useWords();
  const { job, plan } = useJob();
  const [naming, setNaming] = useState(false);
  const [template, setTemplate] = useState(false);
  const tapered = plan.wrap.pattern?.form === 'cone';
  const { names } = job.art;
  return (
    <div className="flex flex-wrap items-end gap-x-2 gap-y-2 border-b border-rule bg-sheet/80 px-4 py-2">
      <FileButton
        label={t('art.pictureFile')}
        accept={PICTURE_FILES}
        disabled={busy}
        onFile={(f) => onImport([f])}
      >
        <ImagePlus size={18} aria-hidden /> {busy ? t('art.looking') : t('common.picture')}
      </FileButton>
      <DrawOne onDraw={onDraw} />
      <Button onClick={onText}>{t('art.text')}</Button>
      <Button onClick={() => setTemplate(true)} disabled={!plan.wrap.pattern}>
        {t('art.template')}
      </Button>
      <Button onClick={() => setNaming(true)}>
        {names ? t('art.names', { pieces: plan.art.pieces.length }) : t('art.names2')}
      </Button>
      <div className="ml-auto">
        <Segments
          label={t('art.whatShown')}
          value={shows}
          onChange={onShows}
          options={[
            { value: 'board', label: t('art.layout') },
            ...(tapered ? [{ value: 'paper' as const, label: t('art.curved') }] : []),
            { value: 'blank', label: t('art.pressed') },
            ...(round ? [{ value: 'seam' as const, label: t('wrap.seam') }] : []),
            ...(names ? [{ value: 'proof' as const, label: t('art.proof') }] : []),
          ]}
        />
      </div>
      {template && <TemplateDialog onClose={() => setTemplate(false)} />}
      {naming && <NamesDialog onClose={() => setNaming(false)} />}
    </div>
  );
}

function DrawOne({ onDraw }: { onDraw: (ref: PictureRef) => void }) {
  const t = useWords();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button>{t('art.samplePicture')}</Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content sideOffset={4} align="start" className="z-30 border-2 border-ink bg-sheet">
          {DRAWN_PICTURES.map((d) => (
            <DropdownMenu.Item
              key={d.id}
              onSelect={() => onDraw(d)}
              className="flex min-h-11 items-center px-4 font-label outline-none data-[highlighted]:bg-strata-3 data-[highlighted]:text-white"
            >
              {d.name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
