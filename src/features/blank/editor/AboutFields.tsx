'use client';

import { FAMILY_WORDS, FINISH_WORDS, MATERIAL_WORDS, WALL_WORDS } from '@/core/shop/kindWords';
import { issueText } from '@/core/basics/rule';
import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useFormContext } from 'react-hook-form';
import { FAMILIES, FINISHES, MATERIALS } from '@/core/shop/blank';
import { fieldsOf, inWords } from '@/ui/form';
import { FormField, inputClass } from '@/ui/FormField';
import { useUnits } from '@/ui/units';
import { useShop } from '../../shell/shopContext';
import type { AboutIn } from './about';

const { Text, Choice } = fieldsOf<AboutIn>();
const SEEN_THROUGH = [
  ['opaque', say('blank.noOpaque')],
  ['clear', say('blank.yesClear')],
] as const;

const row = 'grid grid-cols-2 items-start gap-3 sm:grid-cols-4';

/** What is said of a blank besides its shape. */
export function AboutFields() {
  const t = useWords();
  const units = useUnits();
  const { currency } = useShop().shop.settings;
  const { register, formState } = useFormContext<AboutIn>();
  return (
    <>
      <div className={row}>
        <Choice name="family" label={t('common.family')} options={inWords(FAMILIES, FAMILY_WORDS)} />
        <Choice name="material" label={t('common.material')} options={inWords(MATERIALS, MATERIAL_WORDS)} />
        <Choice name="wall" label={t('blank.wall')} options={inWords(['vacuum', 'single'], WALL_WORDS)} />
        <Text
          name="wallMm"
          label={t('common.thickness2', { units: units.length })}
          hint={t('blank.skinWallPlate')}
        />
        <Choice name="finish" label={t('common.coating')} options={inWords(FINISHES, FINISH_WORDS)} />
        <Choice name="stock" label={t('blank.transparent')} options={SEEN_THROUGH} />
        <FormField
          label={t('blank.blanksColour')}
          problem={formState.errors.colour?.message && t(issueText(formState.errors.colour.message))}
        >
          {(p) => <input {...p} type="color" className={`${inputClass} p-1`} {...register('colour')} />}
        </FormField>
        <label className="flex items-center gap-2 pt-6 leading-tight">
          <input type="checkbox" className="size-6 shrink-0 accent-strata-3" {...register('film')} />
          {t('blank.protectiveFilmPeel')}
        </label>
      </div>
      <div className="grid items-start gap-3 sm:grid-cols-2">
        <Text name="supplier" label={t('common.supplier')} />
        <Text name="costCents" label={t('blank.priceEach', { currency })} inputMode="decimal" />
        <Text name="takeOff" label={t('blank.partsTakeOff')} hint={t('blank.oneLine')} rows={2} />
        <Text name="finishing" label={t('blank.finishingSteps')} hint={t('blank.oneLine')} rows={2} />
        <Text name="needs" label={t('blank.partsNeeds')} hint={t('blank.oneLine')} rows={2} />
        <Text name="cautions" label={t('blank.cautions')} hint={t('blank.oneLine')} rows={2} />
      </div>
    </>
  );
}
