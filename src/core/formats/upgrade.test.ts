import { upgradeSettings4 } from './upgrade4';
import { demoShop } from '../demo/demoShop';
import { jobSchema, newJob, type Job } from '../job/job';
import { plan } from '../plan/plan';
import { blankSchema } from '../shop/blank';
import { shopSchema } from '../shop/shop';
import { settingsSchema } from '../shop/settings';
import { fileText, makeJobFile, readJobFile, readShopFile } from './jobFile';
import { upgradeBlank, upgradeJob, upgradePaper, upgradeRun, upgradeSettings } from './upgrade';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));

/** A shop and job as version 1 wrote them. */
const BLANK_1 = {
  id: 'old-bottle',
  name: 'old bottle',
  family: 'bottle',
  shape: { kind: 'straight', diameterMm: 73, heightMm: 262, lipMm: 52, footMm: 8 },
  material: 'steel',
  wall: 'vacuum',
  wallMm: 0.5,
  coating: { colour: '#f2efe6', finish: 'matte' },
  takeOff: ['cap'],
  film: true,
  keepClear: [{ what: 'stamp', fromTopMm: 184, heightMm: 12 }],
  finish: [],
};
const fresh = newJob('old-job', 'Old job');
const JOB_1 = {
  ...fresh,
  stations: undefined,
  blankId: 'old-bottle',
  readings: {
    girthTop: [{ id: 'a', text: '231', bareUnit: 'mm', method: 'soft tape' }],
    girthFoot: [],
    wall: [],
  },
  wrap: {
    school: 'lap',
    topSetbackMm: 2,
    footSetbackMm: null,
    amountMm: 4,
    lapOver: 'left',
    bleedMm: 3,
    safeMm: null,
  },
};
const SETTINGS_1 = {
  ...shop.settings,
  tape: { thicknessMm: 0.4, finestMm: 1 },
  house: { school: 'over', bleedMm: 3, safeMm: 6, setbackMm: 1.5 },
};
const PAPER_1 = { id: 'a4', name: 'A4', widthMm: 210, heightMm: 297, thicknessMm: 0.1 };

test('a straight wall becomes two widths; zones to stay clear of keep their place on the blank', () => {
  const b = blankSchema.parse(upgradeBlank(BLANK_1));
  expect(b.shape).toEqual({
    kind: 'round',
    heightMm: 262,
    sections: [
      { fromRimMm: 52, acrossMm: 73 },
      { fromRimMm: 254, acrossMm: 73 },
    ],
    handle: null,
    openEnds: false,
    keepClear: [{ what: 'stamp', fromRimMm: 236, heightMm: 12, aroundMm: null, atDeg: 0 }],
  });
  expect(b.coating.stock).toBe('opaque');
});

test('a job keeps what was read and decided, with room for the rest', () => {
  const j = jobSchema.parse(upgradeJob(JOB_1));
  expect(j.readings.girthTop[0]?.text).toBe('231');
  expect(j.wrap).toMatchObject({
    school: 'lap',
    topSetbackMm: 2,
    amountMm: 4,
    lapOver: 'left',
    seamDeg: null,
    grip: null,
  });
  expect(j.stations).toEqual([]);
});

test('settings, papers and runs follow; what is new already is left alone', () => {
  expect(settingsSchema.parse(upgradeSettings4(upgradeSettings(SETTINGS_1))).house.flatBleedMm).toBe(4);
  expect(upgradePaper(PAPER_1)).toMatchObject({ calibration: null });
  expect(upgradeRun({ id: 'r', blank: BLANK_1 })).toMatchObject({ blank: { shape: { kind: 'round' } } });
  const [b] = shop.blanks;
  expect(upgradeBlank(b)).toEqual(b);
  for (const job of jobs) expect(upgradeJob(job)).toEqual(job);
  expect([null, 3, 'x', []].map(upgradeBlank)).toEqual([null, 3, 'x', []]);
});

const shop1 = {
  ...shop,
  settings: SETTINGS_1,
  blanks: [BLANK_1],
  papers: [PAPER_1],
  presses: [],
  recipes: [],
  log: [],
  runs: [],
};

test('files of version 1 open, and the job plans', () => {
  const file = readJobFile(
    JSON.stringify({ format: 'mesa-drift.job', version: 1, job: JOB_1, shop: shop1, pictures: [] }),
  );
  if (!file.ok) throw new Error(file.problem.what);
  const p = plan(file.value.job, file.value.shop);
  expect(p.wrap.round?.amountMm).toBe(4);
  const whole = readShopFile(
    JSON.stringify({ format: 'mesa-drift.shop', version: 1, shop: shop1, jobs: [JOB_1], pictures: [] }),
  );
  expect(whole.ok && shopSchema.safeParse(whole.value.shop).success).toBe(true);
});

test('files are written as version 4', () => {
  const text = fileText(makeJobFile(jobs[0] as Job, shop, []));
  expect(JSON.parse(text)).toMatchObject({ version: 4 });
});
