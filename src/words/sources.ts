// Written by `npm run words` from the catalogue. Do not edit.

import artEN from './en/art.json' with { type: 'json' };
import blankEN from './en/blank.json' with { type: 'json' };
import commonEN from './en/common.json' with { type: 'json' };
import countEN from './en/count.json' with { type: 'json' };
import fieldsEN from './en/fields.json' with { type: 'json' };
import figuresEN from './en/figures.json' with { type: 'json' };
import filesEN from './en/files.json' with { type: 'json' };
import finishEN from './en/finish.json' with { type: 'json' };
import flatnessEN from './en/flatness.json' with { type: 'json' };
import glossaryEN from './en/glossary.json' with { type: 'json' };
import heatEN from './en/heat.json' with { type: 'json' };
import inspectEN from './en/inspect.json' with { type: 'json' };
import jobEN from './en/job.json' with { type: 'json' };
import jobsEN from './en/jobs.json' with { type: 'json' };
import kindsEN from './en/kinds.json' with { type: 'json' };
import logbookEN from './en/logbook.json' with { type: 'json' };
import measureEN from './en/measure.json' with { type: 'json' };
import methodsEN from './en/methods.json' with { type: 'json' };
import pressEN from './en/press.json' with { type: 'json' };
import pricingEN from './en/pricing.json' with { type: 'json' };
import scheduleEN from './en/schedule.json' with { type: 'json' };
import sheetEN from './en/sheet.json' with { type: 'json' };
import shellEN from './en/shell.json' with { type: 'json' };
import shopEN from './en/shop.json' with { type: 'json' };
import stockEN from './en/stock.json' with { type: 'json' };
import wrapEN from './en/wrap.json' with { type: 'json' };
import artENUS from './en-US/art.json' with { type: 'json' };
import blankENUS from './en-US/blank.json' with { type: 'json' };
import fieldsENUS from './en-US/fields.json' with { type: 'json' };
import figuresENUS from './en-US/figures.json' with { type: 'json' };
import filesENUS from './en-US/files.json' with { type: 'json' };
import finishENUS from './en-US/finish.json' with { type: 'json' };
import flatnessENUS from './en-US/flatness.json' with { type: 'json' };
import heatENUS from './en-US/heat.json' with { type: 'json' };
import inspectENUS from './en-US/inspect.json' with { type: 'json' };
import kindsENUS from './en-US/kinds.json' with { type: 'json' };
import pressENUS from './en-US/press.json' with { type: 'json' };
import pricingENUS from './en-US/pricing.json' with { type: 'json' };
import scheduleENUS from './en-US/schedule.json' with { type: 'json' };
import sheetENUS from './en-US/sheet.json' with { type: 'json' };
import shellENUS from './en-US/shell.json' with { type: 'json' };
import shopENUS from './en-US/shop.json' with { type: 'json' };
import stockENUS from './en-US/stock.json' with { type: 'json' };
import wrapENUS from './en-US/wrap.json' with { type: 'json' };
import artES from './es/art.json' with { type: 'json' };
import blankES from './es/blank.json' with { type: 'json' };
import commonES from './es/common.json' with { type: 'json' };
import countES from './es/count.json' with { type: 'json' };
import fieldsES from './es/fields.json' with { type: 'json' };
import figuresES from './es/figures.json' with { type: 'json' };
import filesES from './es/files.json' with { type: 'json' };
import finishES from './es/finish.json' with { type: 'json' };
import flatnessES from './es/flatness.json' with { type: 'json' };
import glossaryES from './es/glossary.json' with { type: 'json' };
import heatES from './es/heat.json' with { type: 'json' };
import inspectES from './es/inspect.json' with { type: 'json' };
import jobES from './es/job.json' with { type: 'json' };
import jobsES from './es/jobs.json' with { type: 'json' };
import kindsES from './es/kinds.json' with { type: 'json' };
import logbookES from './es/logbook.json' with { type: 'json' };
import measureES from './es/measure.json' with { type: 'json' };
import methodsES from './es/methods.json' with { type: 'json' };
import pressES from './es/press.json' with { type: 'json' };
import pricingES from './es/pricing.json' with { type: 'json' };
import scheduleES from './es/schedule.json' with { type: 'json' };
import sheetES from './es/sheet.json' with { type: 'json' };
import shellES from './es/shell.json' with { type: 'json' };
import shopES from './es/shop.json' with { type: 'json' };
import stockES from './es/stock.json' with { type: 'json' };
import wrapES from './es/wrap.json' with { type: 'json' };

/** The whole catalogue as it is written, for what runs outside a page. */
export const SOURCES = {
  en: {
    art: artEN,
    blank: blankEN,
    common: commonEN,
    count: countEN,
    fields: fieldsEN,
    figures: figuresEN,
    files: filesEN,
    finish: finishEN,
    flatness: flatnessEN,
    glossary: glossaryEN,
    heat: heatEN,
    inspect: inspectEN,
    job: jobEN,
    jobs: jobsEN,
    kinds: kindsEN,
    logbook: logbookEN,
    measure: measureEN,
    methods: methodsEN,
    press: pressEN,
    pricing: pricingEN,
    schedule: scheduleEN,
    sheet: sheetEN,
    shell: shellEN,
    shop: shopEN,
    stock: stockEN,
    wrap: wrapEN,
  },
  'en-US': {
    art: artENUS,
    blank: blankENUS,
    fields: fieldsENUS,
    figures: figuresENUS,
    files: filesENUS,
    finish: finishENUS,
    flatness: flatnessENUS,
    heat: heatENUS,
    inspect: inspectENUS,
    kinds: kindsENUS,
    press: pressENUS,
    pricing: pricingENUS,
    schedule: scheduleENUS,
    sheet: sheetENUS,
    shell: shellENUS,
    shop: shopENUS,
    stock: stockENUS,
    wrap: wrapENUS,
  },
  es: {
    art: artES,
    blank: blankES,
    common: commonES,
    count: countES,
    fields: fieldsES,
    figures: figuresES,
    files: filesES,
    finish: finishES,
    flatness: flatnessES,
    glossary: glossaryES,
    heat: heatES,
    inspect: inspectES,
    job: jobES,
    jobs: jobsES,
    kinds: kindsES,
    logbook: logbookES,
    measure: measureES,
    methods: methodsES,
    press: pressES,
    pricing: pricingES,
    schedule: scheduleES,
    sheet: sheetES,
    shell: shellES,
    shop: shopES,
    stock: stockES,
    wrap: wrapES,
  },
};
