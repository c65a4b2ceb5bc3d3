'use client';

import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { FONTS } from '@/core/job/fonts';
import type { TextLayer } from '@/core/job/art';
import { fail, ok, type Result } from '@/core/basics/result';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { TypedField } from '@/ui/TypedField';
import { useJob } from '../job/jobContext';
import { editText } from './layers';
import { AlignTools } from './AlignTools';
import { SetOn } from './SetOn';

const readText = (text: string): Result<string> => {
  const clean = text.trim();
  if (clean === '') return fail(say('art.textLeft'), say('art.text'), say('art.typeSomeRemoveLayer'));
  return clean.length > 60
    ? fail(say('art.tooLongOneLine'), say('art.text'), say('art.keepUnder60Letters'))
    : ok(clean);
};

/** Text in a font that ships with the application, straight or curved. */
export function TextTools({ layer }: { layer: TextLayer }) {
  const t = useWords();
  const { plan, edit } = useJob();
  const put = (next: Partial<TextLayer>, group?: string) =>
    edit(
      editText(layer.id, (l) => ({ ...l, ...next })),
      group,
    );
  const bends = plan.art.board?.bend !== null || plan.wrap.pattern?.form === 'flat';
  return (
    <>
      <TypedField
        label={layer.field === null ? t('art.text') : t('art.textWhereListHas')}
        text={layer.text}
        byHand
        width="w-full"
        parse={readText}
        onValue={(text) => put({ text }, 'text')}
      />
      <TextLook layer={layer} put={put} />
      {bends && (
        <Labelled label={t('art.along')}>
          <Segments
            label={t('art.textPath')}
            value={layer.along}
            onChange={(along) => put({ along })}
            options={[
              { value: 'line', label: t('art.straightText') },
              { value: 'arc', label: t('art.curvedText') },
            ]}
          />
        </Labelled>
      )}
      <TextWidth layer={layer} put={put} />
      <SetOn layer={layer} />
      <AlignTools layer={layer} />
    </>
  );
}

interface PartProps {
  readonly layer: TextLayer;
  readonly put: (next: Partial<TextLayer>, group?: string) => void;
}

/** Font, colour, size and place. */
function TextLook({ layer, put }: PartProps) {
  const t = useWords();
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
      <Labelled label={t('art.font')}>
        <Select
          label={t('art.font')}
          value={layer.font}
          options={FONTS.map((f) => ({ value: f.id, label: t(f.label) }))}
          onChange={(font) => put({ font })}
          className="w-28"
        />
      </Labelled>
      <label className="font-label text-fine font-medium text-soft">
        <span className="block leading-tight">{t('art.colour')}</span>
        <input
          type="color"
          value={layer.colour}
          onChange={(e) => put({ colour: e.target.value }, 'colour')}
          className="h-9 w-11 border-2 border-ink bg-white p-0.5"
        />
      </label>
      <LengthField
        label={t('art.capitals')}
        valueMm={layer.capHeightMm}
        minMm={1}
        maxMm={120}
        byHand
        width="w-14"
        onValue={(capHeightMm) => put({ capHeightMm }, 'cap')}
      />
      <NumberField
        label={t('art.rotate')}
        unit="°"
        value={layer.rotationDeg}
        min={-360}
        max={360}
        width="w-12"
        byHand={layer.rotationDeg !== 0}
        onValue={(rotationDeg) => put({ rotationDeg }, 'wturn')}
      />
      <LengthField
        label={t('art.across')}
        valueMm={layer.dxMm}
        minMm={-1000}
        maxMm={1000}
        signed
        byHand
        width="w-14"
        onValue={(dxMm) => put({ dxMm }, 'wdx')}
      />
      <LengthField
        label={t('art.down')}
        valueMm={layer.dyMm}
        minMm={-1000}
        maxMm={1000}
        signed
        byHand
        width="w-14"
        onValue={(dyMm) => put({ dyMm }, 'wdy')}
      />
    </div>
  );
}

/** How wide the text may be, and what becomes of longer text. */
function TextWidth({ layer, put }: PartProps) {
  const t = useWords();
  const { plan } = useJob();
  return (
    <>
      <Labelled label={t('art.longest')}>
        <Segments
          label={t('art.maximumTextWidth')}
          value={layer.mostMm === null ? 'any' : 'most'}
          onChange={(v) =>
            put({
              mostMm: v === 'any' ? null : Math.max(5, Math.round(plan.wrap.pattern?.safe.width ?? 100)),
            })
          }
          options={[
            { value: 'any', label: t('art.anyLength') },
            { value: 'most', label: t('art.atMost') },
          ]}
        />
      </Labelled>
      {layer.mostMm !== null && (
        <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
          <LengthField
            label={t('art.atMost2')}
            valueMm={layer.mostMm}
            minMm={5}
            maxMm={1300}
            byHand
            width="w-14"
            onValue={(mostMm) => put({ mostMm }, 'most')}
          />
          <Segments
            label={t('art.longerText')}
            value={layer.overlong}
            onChange={(overlong) => put({ overlong })}
            options={[
              { value: 'fit', label: t('art.setSmaller'), title: t('art.shrinkLongerText') },
              { value: 'flag', label: t('art.onlyFlagged'), title: t('art.keepSizeReportLonger') },
            ]}
          />
        </div>
      )}
    </>
  );
}
