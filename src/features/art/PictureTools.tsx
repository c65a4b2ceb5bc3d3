'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { FlipHorizontal2, FlipVertical2, RotateCcw, RotateCw } from 'lucide-react';
import type { PictureLayer, PicturePlacement, Repeat } from '@/core/job/art';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';
import { PICTURE_FILES } from './pictureFiles';
import { editPicture, withPlacement } from './layers';
import { MustBeSeen } from './MustBeSeen';
import { AlignTools } from './AlignTools';
import { SetOn } from './SetOn';
import { SizeTools } from './SizeTools';

const turned = (deg: number): number => ((((deg + 180) % 360) + 360) % 360) - 180;

const REPEAT_WORDS: readonly { readonly value: Repeat; readonly label: Message }[] = [
  { value: 'none', label: say('common.none') },
  { value: 'rows', label: say('art.rows') },
  { value: 'half-drop', label: say('art.halfDrop') },
  { value: 'mirror', label: say('art.mirrored') },
];

interface Props {
  readonly layer: PictureLayer;
  readonly onReplace: (file: File) => void;
}

/** Exact figures and turns for the picture in hand. */
export function PictureTools({ layer, onReplace }: Props) {
  const t = useWords();
  const { edit } = useJob();
  const { placement, flip } = layer;
  const put = (next: Partial<PicturePlacement>, group?: string) => edit(withPlacement(layer.id, next), group);
  const turnOver = (side: 'across' | 'down') =>
    edit(editPicture(layer.id, (l) => ({ ...l, flip: { ...l.flip, [side]: !l.flip[side] } })));
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <Segments
          label={t('art.howPictureFillsWrap')}
          value={placement.base}
          onChange={(base) => put({ base, scale: 1, dxMm: 0, dyMm: 0 })}
          options={[
            { value: 'cover', label: t('art.cover'), title: t('art.fillBleedWhatSticks') },
            { value: 'fit', label: t('art.fit'), title: t('art.allPictureInsideTrim') },
          ]}
        />
        <NumberField
          label={t('art.scale')}
          unit="%"
          value={placement.scale * 100}
          min={2}
          max={5000}
          byHand={placement.scale !== 1}
          onValue={(v) => put({ scale: v / 100 }, 'scale')}
        />
        <NumberField
          label={t('art.rotate')}
          unit="°"
          value={placement.rotationDeg}
          min={-360}
          max={360}
          width="w-12"
          byHand={placement.rotationDeg !== 0}
          onValue={(rotationDeg) => put({ rotationDeg }, 'turn')}
        />
        <LengthField
          label={t('art.across')}
          valueMm={placement.dxMm}
          minMm={-2000}
          maxMm={2000}
          signed
          byHand={placement.dxMm !== 0}
          width="w-14"
          onValue={(dxMm) => put({ dxMm }, 'dx')}
        />
        <LengthField
          label={t('art.down')}
          valueMm={placement.dyMm}
          minMm={-2000}
          maxMm={2000}
          signed
          byHand={placement.dyMm !== 0}
          width="w-14"
          onValue={(dyMm) => put({ dyMm }, 'dy')}
        />
      </div>
      <SizeTools layer={layer} />
      <div className="grid grid-cols-4 gap-1 *:min-w-0 *:px-0">
        <Button
          aria-label={t('art.rotateLeft90')}
          title={t('art.rotateLeft90')}
          onClick={() => put({ rotationDeg: turned(placement.rotationDeg - 90) })}
          className="px-1.5"
        >
          <RotateCcw size={18} aria-hidden />
        </Button>
        <Button
          aria-label={t('art.rotateRight90')}
          title={t('art.rotateRight90')}
          onClick={() => put({ rotationDeg: turned(placement.rotationDeg + 90) })}
          className="px-1.5"
        >
          <RotateCw size={18} aria-hidden />
        </Button>
        <Button
          aria-label={t('art.flipHorizontally')}
          title={t('art.flipHorizontally')}
          aria-pressed={flip.across}
          onClick={() => turnOver('across')}
          className={`px-1.5 ${flip.across ? 'bg-strata-3 text-white hover:bg-strata-3' : ''}`}
        >
          <FlipHorizontal2 size={18} aria-hidden />
        </Button>
        <Button
          aria-label={t('art.flipVertically')}
          title={t('art.flipVertically')}
          aria-pressed={flip.down}
          onClick={() => turnOver('down')}
          className={`px-1.5 ${flip.down ? 'bg-strata-3 text-white hover:bg-strata-3' : ''}`}
        >
          <FlipVertical2 size={18} aria-hidden />
        </Button>
      </div>
      <SetOn layer={layer} />
      <AlignTools layer={layer} />
      <Labelled label={t('art.repeat')}>
        <Select
          label={t('art.repeatPicture')}
          value={layer.repeat}
          options={REPEAT_WORDS}
          onChange={(repeat) => edit(editPicture(layer.id, (l) => ({ ...l, repeat })))}
          className="w-full"
        />
      </Labelled>
      {layer.repeat !== 'none' && <WholeNumber layer={layer} />}
      <MustBeSeen layer={layer} />
      <FileButton label={t('art.replacePicture')} accept={PICTURE_FILES} onFile={onReplace}>
        {t('art.replacePicture')}
      </FileButton>
    </>
  );
}

/** A repeat closes at the seam only where a whole number of copies goes round. */
function WholeNumber({ layer }: { layer: PictureLayer }) {
  const t = useWords();
  const { plan, edit } = useJob();
  const { board, placedLayers } = plan.art;
  const mine = placedLayers.find((l) => l.id === layer.id);
  if (!board || mine?.kind !== 'picture') return null;
  const { pattern } = board;
  const roundMm = pattern.meets ? pattern.meetsAtMm : pattern.trim.width;
  const each = mine.transform.widthMm;
  const pair = layer.repeat === 'rows' ? 1 : 2;
  const n = Math.max(pair, Math.round(roundMm / each / pair) * pair);
  const k = roundMm / (n * each);
  return (
    <Button
      className="px-2 text-fine"
      disabled={Math.abs(k - 1) < 1e-4}
      onClick={() => edit(withPlacement(layer.id, { scale: layer.placement.scale * k, rotationDeg: 0 }))}
    >
      {Math.abs(k - 1) < 1e-4 ? t('art.goRound', { n }) : t('art.makeGoRound', { n })}
    </Button>
  );
}
