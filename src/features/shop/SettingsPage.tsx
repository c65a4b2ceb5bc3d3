'use client';

import { WRITTEN_BY } from '@/core/basics/version';
import { HOLD_WORDS } from '@/core/shop/kindWords';
import { useWords } from '@/ui/words';
import { say, inSentence } from '@/core/message/message';
import { FileDown, FileUp } from 'lucide-react';
import { useState } from 'react';
import type { ShopFile } from '@/core/formats/jobFile';
import { fail, ok, problemMessage } from '@/core/basics/result';
import { HOLDS, SEAM_METHODS, WRAP_KINDS, type Settings } from '@/core/shop/settings';
import { SEAM_METHOD_NOTES } from '@/core/wrap/seamMethods';
import { WRAP_KIND_WORDS } from '@/core/wrap/startingMethod';
import { LOCALES, languageName } from '@/words/locale';
import { checkShopFile, restoreShop, shopFileText } from '@/data/files';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { Labelled } from '@/ui/Labelled';
import { chooseLocale, useChosenLocale } from '@/ui/locale';
import { LengthField } from '@/ui/LengthField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { Dialog } from '@/ui/Dialog';
import { TypedField } from '@/ui/TypedField';
import { notify, notifyProblem, notifyWrong } from '@/ui/notify';
import { saveTextAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { CircuitsGroup, DayGroup } from './DaySettings';
import { SettingsGroup } from './Group';
import { useSettings } from './useSettings';
import { WorkCosts } from './WorkCosts';
import { WorkingMethods } from './WorkingMethods';
import { MOST_WITH_PICTURES_BYTES, readText } from '@/data/readFile';

/** The shop's own ways: tape, money, seam methods; and the whole shop in a file. */
export function SettingsPage() {
  const t = useWords();
  return (
    <ShopFrame title={t('common.settings2')} about={t('shop.keptHereBy', { product: WRITTEN_BY })}>
      <div className="grid max-w-4xl divide-y divide-rule px-5">
        <ShopGroup />
        <TapeGroup />
        <MoneyGroup />
        <WorkCosts />
        <DayGroup />
        <CircuitsGroup />
        <DefaultsGroup />
        <MethodsGroup />
        <WholeShop />
      </div>
    </ShopFrame>
  );
}

function ShopGroup() {
  const t = useWords();
  const { s, put } = useSettings();
  return (
    <SettingsGroup title={t('common.shop')} about={t('shop.nameShownTopEvery')}>
      <TypedField
        label={t('common.name')}
        text={s.shopName}
        width="w-64"
        parse={(t) =>
          t.trim() === ''
            ? fail(say('shop.nameMissing'), say('common.name'), say('shop.typeAnyName'))
            : ok(t.trim().slice(0, 80))
        }
        onValue={(shopName) => put({ shopName })}
      />
      <Language />
      <Labelled label={t('shop.soundPress')}>
        <Segments
          label={t('shop.soundPress')}
          value={s.sound ? 'on' : 'off'}
          onChange={(v) => put({ sound: v === 'on' })}
          options={[
            { value: 'on', label: t('shop.on') },
            { value: 'off', label: t('shop.off') },
          ]}
        />
      </Labelled>
    </SettingsGroup>
  );
}

function Language() {
  const t = useWords();
  return (
    <Labelled label={t('shop.language')}>
      <Segments
        label={t('shop.language')}
        value={useChosenLocale()}
        onChange={chooseLocale}
        options={LOCALES.map((value) => ({ value, label: languageName(value) }))}
      />
    </Labelled>
  );
}

function TapeGroup() {
  const t = useWords();
  const { s, put, putTape } = useSettings();
  return (
    <SettingsGroup title={t('shop.tapeMeasure')} about={t('shop.tapeMeasureReadsAlong')}>
      <LengthField
        label={t('common.thickness')}
        fine
        valueMm={s.tape.thicknessMm}
        minMm={0}
        maxMm={2}
        byHand
        onValue={(thicknessMm) => putTape({ thicknessMm })}
      />
      <LengthField
        label={t('shop.stringThickness')}
        fine
        valueMm={s.tape.stringMm}
        minMm={0}
        maxMm={4}
        byHand
        onValue={(stringMm) => putTape({ stringMm })}
      />
      <Labelled label={t('shop.smallestInchMark')}>
        <Select
          label={t('shop.smallestInchMark')}
          value={String(s.units.inchDenominator)}
          options={[8, 16, 32, 64].map((d) => ({ value: String(d), label: `1/${d} in` }))}
          onChange={(v) =>
            put({
              units: { ...s.units, inchDenominator: Number(v) as Settings['units']['inchDenominator'] },
            })
          }
          className="w-28"
        />
      </Labelled>
      <Labelled label={t('shop.smallestMetricMark')}>
        <Segments
          label={t('shop.smallestMetricMark')}
          value={String(s.tape.finestMm)}
          onChange={(v) => putTape({ finestMm: v === '0.5' ? 0.5 : 1 })}
          options={[
            { value: '0.5', label: '½ mm' },
            { value: '1', label: '1 mm' },
          ]}
        />
      </Labelled>
    </SettingsGroup>
  );
}

function MoneyGroup() {
  const t = useWords();
  const { s, put } = useSettings();
  return (
    <SettingsGroup title={t('shop.money')} about={t('shop.printersWhatPaperInk')}>
      <TypedField
        label={t('shop.currencySymbol')}
        text={s.currency}
        width="w-16"
        parse={(t) =>
          /^\S{1,4}$/.test(t.trim())
            ? ok(t.trim())
            : fail(say('shop.currencySymbolHasOne'), say('shop.money'), say('shop.exampleKr'))
        }
        onValue={(currency) => put({ currency })}
      />
    </SettingsGroup>
  );
}

function DefaultsGroup() {
  const t = useWords();
  const { s, putDefaults, putSeamMethod } = useSettings();
  return (
    <SettingsGroup title={t('shop.shopDefaults')} about={t('shop.seamMethodSizesNew')}>
      {WRAP_KINDS.map((kind) => (
        <Labelled key={kind} label={t(WRAP_KIND_WORDS[kind].label)}>
          <Select
            label={t('shop.seamMethod', { kindWords: inSentence(WRAP_KIND_WORDS[kind].label) })}
            value={s.defaults.seamMethods[kind]}
            options={SEAM_METHODS.filter((v) => kind !== 'handled' || v !== 'lap').map((v) => ({
              value: v,
              label: t(SEAM_METHOD_NOTES[v].label),
            }))}
            onChange={(seamMethod) => putSeamMethod(kind, seamMethod)}
            className="w-40"
          />
        </Labelled>
      ))}
      <LengthField
        label={t('common.bleed')}
        valueMm={s.defaults.bleedMm}
        minMm={0}
        maxMm={15}
        byHand
        onValue={(bleedMm) => putDefaults({ bleedMm })}
      />
      <LengthField
        label={t('common.safeZone')}
        valueMm={s.defaults.safeMm}
        minMm={0}
        maxMm={30}
        byHand
        onValue={(safeMm) => putDefaults({ safeMm })}
      />
      <LengthField
        label={t('shop.setbackRimFoot')}
        valueMm={s.defaults.setbackMm}
        minMm={0}
        maxMm={30}
        byHand
        onValue={(setbackMm) => putDefaults({ setbackMm })}
      />
      <LengthField
        label={t('wrap.pastEdge')}
        valueMm={s.defaults.pastMm}
        minMm={0}
        maxMm={15}
        byHand
        onValue={(pastMm) => putDefaults({ pastMm })}
      />
      <LengthField
        label={t('shop.bleedFlatBlanks')}
        valueMm={s.defaults.flatBleedMm}
        minMm={0}
        maxMm={15}
        byHand
        onValue={(flatBleedMm) => putDefaults({ flatBleedMm })}
      />
      <Labelled label={t('common.paperHeld')}>
        <Select
          label={t('common.paperHeld')}
          value={s.defaults.hold}
          options={HOLDS.map((v) => ({ value: v, label: t(HOLD_WORDS[v]) }))}
          onChange={(hold) => putDefaults({ hold })}
          className="w-44"
        />
      </Labelled>
    </SettingsGroup>
  );
}

function MethodsGroup() {
  const t = useWords();
  const { s, change } = useSettings();
  return (
    <SettingsGroup title={t('methods.title')} about={t('methods.about')}>
      <WorkingMethods
        values={s.practices}
        fallback={null}
        onChange={(next) => void change((now) => ({ ...now, practices: { ...now.practices, ...next } }))}
      />
    </SettingsGroup>
  );
}

function WholeShop() {
  const t = useWords();
  const { jobs } = useShop();
  const [found, setFound] = useState<ShopFile | null>(null);
  const save = async () => {
    const text = await shopFileText();
    if (text.ok)
      saveTextAs(
        `shop-${new Date().toISOString().slice(0, 10)}.mesashop.json`,
        text.value,
        'application/json',
      );
    else notifyProblem(text.problem);
  };
  const check = async (file: File) => {
    const text = await readText(file, MOST_WITH_PICTURES_BYTES, say('shop.shopFileLargeCannot'));
    const r = text.ok ? checkShopFile(text.value) : text;
    if (r.ok) setFound(r.value);
    else notifyProblem(r.problem);
  };
  const restore = async () => {
    if (!found) return;
    const r = await restoreShop(found);
    setFound(null);
    if (r.ok) notify(t('shop.shopRestored'));
    else notifyWrong(t('shop.shopWas', { problem: problemMessage(r.problem) }));
  };
  return (
    <SettingsGroup title={t('shop.shopOneFile')} about={t('shop.jobsPicturesBlanksPresses')}>
      <Button onClick={() => void save()}>
        <FileDown size={18} aria-hidden /> {t('shop.saveShopFile')}
      </Button>
      <FileButton label={t('common.shopFile')} accept=".json,application/json" onFile={(f) => void check(f)}>
        <FileUp size={18} aria-hidden /> {t('shop.restoreShopFile')}
      </FileButton>
      {found && (
        <Dialog
          open
          onClose={() => setFound(null)}
          title={t('shop.replaceShop')}
          about={t('shop.jobsBlanksLogEntries', {
            shopName: found.shop.settings.shopName,
            jobs: found.jobs.length,
            blanks: found.shop.blanks.length,
            log: found.shop.log.length,
          })}
        >
          <p className="leading-snug">{t('shop.everythingBrowser', { jobs: jobs.length })}</p>
          {found.writtenBy !== null && (
            <p className="leading-snug">{t('shop.savedBy', { product: found.writtenBy })}</p>
          )}
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <Button onClick={() => void save()}>{t('shop.saveCurrentShop')}</Button>
            <Button onClick={() => setFound(null)}>{t('common.cancel')}</Button>
            <Button kind="act" onClick={() => void restore()}>
              {t('shop.replaceShop2')}
            </Button>
          </div>
        </Dialog>
      )}
    </SettingsGroup>
  );
}
