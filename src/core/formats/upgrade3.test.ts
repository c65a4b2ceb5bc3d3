import { demoShop } from '../demo/demoShop';
import { jobSchema } from '../job/job';
import { plan } from '../plan/plan';
import { paperSchema } from '../shop/paper';
import { settingsSchema } from '../shop/settings';
import { jobFileTo3, upgradeJob3, upgradePaper3, upgradeSettings3 } from './upgrade3';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers');
const PICTURE = {
  id: 'p',
  name: 'art.png',
  mime: 'image/png',
  widthPx: 10,
  heightPx: 20,
  orientation: 1,
  drawn: null,
};
/** The job as version 2 kept it. */
const job2 = {
  ...JOB,
  art: {
    picture: PICTURE,
    placement: { base: 'fit', scale: 2, dxMm: 3, dyMm: -4, turnDeg: 90 },
    words: { text: 'Dome', font: 'hand', capHeightMm: 12, dxMm: 5, dyMm: 6, colour: '#102030' },
  },
  sheet: { paperId: 'a3', gapMm: 7, mirrorBy: 'driver' },
};

test('one picture under one line of words becomes two layers, each where it was', () => {
  const job = jobSchema.parse(upgradeJob3(job2));
  expect(job.art.lie).toBe('flat');
  expect(job.art.layers).toMatchObject([
    { kind: 'picture', picture: PICTURE, placement: job2.art.placement, repeat: 'once', on: 'both' },
    {
      kind: 'words',
      text: 'Dome',
      font: 'hand',
      capHeightMm: 12,
      dxMm: 5,
      dyMm: 6,
      turnDeg: 0,
      along: 'line',
    },
  ]);
  expect(job.sheet).toMatchObject({ paperId: 'a3', gapMm: 7, mirrorBy: 'driver', withJobs: [] });
});

test('no art stays no art, and a job of version 3 is left as it is', () => {
  const bare = jobSchema.parse(
    upgradeJob3({ ...job2, art: { picture: null, placement: job2.art.placement, words: null } }),
  );
  expect(bare.art.layers).toEqual([]);
  expect(upgradeJob3(JOB)).toEqual(JOB);
});

test('the printer of the settings becomes the first of its printers, and takes what it took', () => {
  const { printers: _, currency: __, ...rest } = shop.settings;
  const old = { ...rest, printer: { name: 'Ours', marginMm: 5, mirrorBy: 'driver', ppi: 200 } };
  const s = settingsSchema.parse(upgradeSettings3(old));
  expect(s.printers).toHaveLength(1);
  expect(s.printers[0]).toMatchObject({
    name: 'Ours',
    mirrorBy: 'driver',
    ppi: 200,
    marginsMm: { top: 5, right: 5, bottom: 5, left: 5 },
  });
  expect(s.printers[0]?.widestMm).toBeGreaterThanOrEqual(1200);
});

test('papers become sheets with nothing said of side and tray; a whole file climbs and plans', () => {
  const old = { id: 'a3', name: 'A3', widthMm: 297, heightMm: 420, thicknessMm: 0.1, calibration: null };
  expect(paperSchema.parse(upgradePaper3(old))).toMatchObject({ kind: 'sheet', printSide: '', costCents: 0 });
  const file = jobFileTo3({ job: job2, shop: { ...shop, papers: [old] } }) as { job: unknown; shop: unknown };
  const job = jobSchema.parse(file.job);
  const made = plan(job, { ...shop, ...(file.shop as object) });
  expect(made.art.laid).toHaveLength(2);
  expect(made.sheet.mirrorBy).toBe('driver');
});

test('nonsense passes through to be refused by the schema', () => {
  for (const v of [null, 3, 'x', [], { art: 5 }])
    expect(jobSchema.safeParse(upgradeJob3(v)).success).toBe(false);
});
