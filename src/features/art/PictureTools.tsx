'use client';

import { ImagePlus, RotateCcw, RotateCw, Sparkles, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { PictureRef, Placement } from '@/core/job/job';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';

interface Props {
  readonly onBring: (file: File) => void;
  readonly onDraw: (ref: PictureRef) => void;
  readonly drawn: readonly PictureRef[];
  readonly busy: boolean;
}

const turned = (deg: number): number => ((((deg + 180) % 360) + 360) % 360) - 180;

export function PictureTools({ onBring, onDraw, drawn, busy }: Props) {
  const { job, edit } = useJob();
  const { picture, placement } = job.art;
  const put = (next: Partial<Placement>, group?: string) =>
    edit((j) => ({ ...j, art: { ...j.art, placement: { ...j.art.placement, ...next } } }), group);
  return (
    <div className="flex shrink-0 flex-wrap content-start items-end gap-x-3 gap-y-2.5 border-b border-rule bg-sheet/80 px-4 py-3 sm:w-44 sm:flex-col sm:flex-nowrap sm:items-start sm:overflow-y-auto sm:border-r sm:border-b-0">
      <div className="flex flex-wrap gap-2 sm:flex-col sm:self-stretch">
        <FileButton label="Picture file" accept="image/png,image/jpeg" disabled={busy} onFile={onBring}>
          <ImagePlus size={18} aria-hidden />{' '}
          {busy ? 'Looking at it…' : picture ? 'Other picture' : 'Bring a picture'}
        </FileButton>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger asChild>
            <Button>
              <Sparkles size={18} aria-hidden /> Draw one
            </Button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content sideOffset={4} align="start" className="z-30 border-2 border-ink bg-sheet">
              {drawn.map((d) => (
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
      </div>
      {picture && (
        <>
          <Segments
            label="How the picture fills the wrap"
            value={placement.base}
            onChange={(base) => put({ base, scale: 1, dxMm: 0, dyMm: 0 })}
            options={[
              { value: 'cover', label: 'Cover', title: 'Fill the bleed; what sticks out is cut' },
              { value: 'fit', label: 'Fit', title: 'All of the picture, inside the trim' },
            ]}
          />
          <NumberField
            label="Scale"
            unit="%"
            value={placement.scale * 100}
            min={2}
            max={5000}
            taken={placement.scale !== 1}
            onValue={(v) => put({ scale: v / 100 }, 'scale')}
          />
          <LengthField
            label="Across"
            valueMm={placement.dxMm}
            minMm={-2000}
            maxMm={2000}
            signed
            taken={placement.dxMm !== 0}
            width="w-16"
            onValue={(dxMm) => put({ dxMm }, 'dx')}
          />
          <LengthField
            label="Down"
            valueMm={placement.dyMm}
            minMm={-2000}
            maxMm={2000}
            signed
            taken={placement.dyMm !== 0}
            width="w-16"
            onValue={(dyMm) => put({ dyMm }, 'dy')}
          />
          <NumberField
            label="Turn"
            unit="°"
            value={placement.turnDeg}
            min={-360}
            max={360}
            taken={placement.turnDeg !== 0}
            onValue={(turnDeg) => put({ turnDeg }, 'turn')}
          />
          <div className="flex items-end gap-1">
            <Button
              aria-label="Turn left a quarter"
              onClick={() => put({ turnDeg: turned(placement.turnDeg - 90) })}
              className="px-2"
            >
              <RotateCcw size={18} aria-hidden />
            </Button>
            <Button
              aria-label="Turn right a quarter"
              onClick={() => put({ turnDeg: turned(placement.turnDeg + 90) })}
              className="px-2"
            >
              <RotateCw size={18} aria-hidden />
            </Button>
            <Button
              aria-label="Take the picture off"
              title="Take the picture off"
              onClick={() => edit((j) => ({ ...j, art: { ...j.art, picture: null } }))}
              className="px-2"
            >
              <Trash2 size={18} aria-hidden />
            </Button>
          </div>
        </>
      )}
    </div>
  );
}
