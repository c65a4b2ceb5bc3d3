import { demoShop } from '../demo/demoShop';
import { plan } from '../plan/plan';
import { english } from '@/words/english';
import { spanish } from '@/words/spanish';
import { GLOSSARY, meaningOf, meaningsByText } from './glossary';

test('every term is listed once, with a line of its own, and so is every label that it explains', () => {
  const labels = GLOSSARY.flatMap((t) => [t.label.id, ...t.also]);
  expect(labels.length).toBe(new Set(labels).size);
  expect(new Set(GLOSSARY.map((t) => t.meaning.id)).size).toBe(GLOSSARY.length);
  for (const { label, meaning } of GLOSSARY) expect(meaningOf(label)).toBe(meaning);
});

test.each([english, spanish])('a line is one or two sentences, and is not the term again', ({ text }) => {
  for (const { label, meaning } of GLOSSARY) {
    const line = text(meaning);
    expect(line).toMatch(/\.$/);
    expect(line.match(/[.;]/g)?.length ?? 0).toBeLessThanOrEqual(3);
    expect(line.toLowerCase().startsWith(text(label).toLowerCase())).toBe(false);
  }
});

test('most figures of the wrap and of the heat are explained', () => {
  const { shop, jobs } = demoShop(new Date('2026-12-01T09:00:00Z'));
  const job = jobs.find((j) => j.id === 'star-party-tumblers');
  if (!job) throw new Error('no job');
  const p = plan(job, shop);
  const figures = [...p.wrap.figures, ...p.heat.figures];
  const explained = figures.filter((f) => meaningOf(f.label));
  expect(explained.length / figures.length).toBeGreaterThan(0.6);
});

test.each([english, spanish])(
  'a label is explained by its text, in whatever language it stands',
  ({ text }) => {
    const meanings = meaningsByText((id) => text({ id }));
    for (const { label, meaning } of GLOSSARY) expect(meanings.get(text(label))).toBe(meaning);
    expect(meanings.get(text({ id: 'common.name' }))).toBeUndefined();
  },
);

test('a label whose text is not loaded explains nothing yet', () => {
  const meanings = meaningsByText((id) => (id === 'common.bleed' ? 'Bleed' : null));
  expect([...meanings.keys()]).toEqual(['Bleed']);
});
