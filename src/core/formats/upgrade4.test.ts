import { demoShop } from '../demo/demoShop';
import { newJob } from '../job/job';
import { settingsSchema } from '../shop/settings';
import { readJobFile, readShopFile, type JobFile } from './jobFile';
import { upgradeJob4, upgradeSettings4 } from './upgrade4';

const { shop } = demoShop(new Date('2026-11-24T12:00:00Z'));
/** Settings as version 3 wrote them. */
const { schools: _schools, ...house } = shop.settings.house;
const settings3 = (school: string) => ({ ...shop.settings, house: { ...house, school } });
const begun = { ...newJob('j', 'Begun'), blankId: shop.blanks[0]?.id ?? null };
const file3 = (format: string, school: string, rest: object) =>
  JSON.stringify({
    format,
    version: 3,
    shop: { ...shop, settings: settings3(school) },
    pictures: [],
    ...rest,
  });

test('the one house method becomes that of full wraps; other kinds get the trade’s', () => {
  const s = settingsSchema.parse(upgradeSettings4(settings3('butt')));
  expect(s.house.schools).toEqual({ round: 'butt', handled: 'under', picture: 'under', barrel: 'lap' });
  expect(s.house.bleedMm).toBe(shop.settings.house.bleedMm);
  // What is new already, or no settings at all, is left alone.
  expect(upgradeSettings4(s)).toEqual(s);
  expect([null, 3, {}].map(upgradeSettings4)).toEqual([null, 3, {}]);
});

test('a job begun keeps the method it had; one with its own, or without a blank yet, is left alone', () => {
  const method = (job: object) => (upgradeJob4(job, 'gap') as typeof begun).wrap.school;
  expect(method(begun)).toBe('gap');
  expect(method({ ...begun, wrap: { ...begun.wrap, school: 'lap' } })).toBe('lap');
  expect(method({ ...begun, blankId: null })).toBeNull();
});

test('files of version 3 open, and every job means what it meant', () => {
  const job = readJobFile(file3('mesa-drift.job', 'gap', { job: begun }));
  if (!job.ok) throw new Error(job.problem.what);
  expect((job.value satisfies JobFile).job.wrap.school).toBe('gap');
  expect(job.value.shop.settings.house.schools.round).toBe('gap');
  const whole = readShopFile(file3('mesa-drift.shop', 'under', { jobs: [begun, newJob('n', 'New')] }));
  if (!whole.ok) throw new Error(whole.problem.what);
  expect(whole.value.jobs.map((j) => j.wrap.school)).toEqual(['under', null]);
});
