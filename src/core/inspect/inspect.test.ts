import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { CAUSE_IDS, FAULT_IDS, PAPER_FAULT_IDS, type CauseId } from '../shop/faultIds';
import { PAPER_STATES } from '../shop/records';
import { CLUES, MODEL, USED_PAPER, rowOf, WHERE } from './evidence';
import { CAUSES, FAULTS, faultLabel, isOnPaper, PAPER_FAULTS } from './faults';
import { evidenceOf, NOTHING_KNOWN, type Inspection } from './gather';
import { certain, expectedBits, nextQuestions, posterior, rankCauses, type Evidence } from './infer';
import { costS, namedCauses, QUESTIONS } from './questions';
import { NONE_CONFIRMED, PRIOR_INSPECTIONS, priorOf, priorSeen, withConfirmed } from './shopTable';
import { CAUSE_TABLE, SELDOM } from './table';
import { tallyOf } from './tally';
import { entryOf, mark } from './testInspections';

const NOTHING: Inspection = { marks: [], paperState: null, verdict: null, replies: [] };
const share = (shares: readonly number[], c: CauseId): number => shares[CAUSE_IDS.indexOf(c)] ?? 0;

describe('the stated table', () => {
  test('every fault that can be stored has its label and a key of its own; no key is one of the application', () => {
    expect(FAULTS.map((f) => f.id)).toEqual([...FAULT_IDS]);
    expect(PAPER_FAULTS.map((f) => f.id)).toEqual([...PAPER_FAULT_IDS]);
    const keys = [...FAULTS, ...PAPER_FAULTS].map((f) => f.key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const taken of ['u', 't', '/', '?', '[', ']']) expect(keys).not.toContain(taken);
    for (const f of PAPER_FAULTS) expect(isOnPaper(f.id)).toBe(true);
    expect(inEnglish(faultLabel('ghost'))).toBe('Ghosting');
  });

  test('every cause makes some fault more often than by chance, every fault has a cause, every cause has words', () => {
    for (const c of CAUSE_IDS) {
      expect(Math.max(...Object.values(CAUSE_TABLE[c].faults))).toBeGreaterThan(10 * SELDOM);
      expect(english.text(CAUSES[c].change).length).toBeGreaterThan(10);
    }
    for (const f of FAULT_IDS)
      expect(CAUSE_IDS.some((c) => (CAUSE_TABLE[c].faults[f] ?? 0) > 0.5)).toBe(true);
    expect(CAUSE_IDS.reduce((s, c) => s + priorOf(c), 0)).toBeCloseTo(1, 12);
  });

  test('every row is a distribution over the values it speaks of', () => {
    for (const c of [...CLUES, ...QUESTIONS])
      for (const row of [c.usual, ...namedCauses(c).map((cause) => rowOf(c, cause))]) {
        expect(row).toHaveLength(c.values.length);
        expect(row.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        // Nothing is impossible: one slip of the eye must not rule a cause out for good.
        expect(Math.min(...row)).toBeGreaterThan(0);
      }
    for (const q of QUESTIONS) expect(q.words).toHaveLength(q.values.length);
    expect(USED_PAPER.values).toEqual([...PAPER_STATES]);
  });
});

describe('Bayes, by hand', () => {
  test('one fault alone: prior times likelihood, over all causes', () => {
    const shares = posterior({ faults: ['white-stripe'], clues: {} }, NONE_CONFIRMED);
    // Independently: the table's own figures, every fault that is not marked counted as not seen.
    const raw = CAUSE_IDS.map((c) =>
      FAULT_IDS.reduce(
        (p, f) => p * (f === 'white-stripe' ? priorSeen(c, f) : 1 - priorSeen(c, f)),
        CAUSE_TABLE[c].prior,
      ),
    );
    const sum = raw.reduce((a, b) => a + b, 0);
    CAUSE_IDS.forEach((c, i) => expect(share(shares, c)).toBeCloseTo((raw[i] ?? 0) / sum, 9));
  });

  test('two causes of one fault part by the odds of one clue', () => {
    const e: Evidence = { faults: ['dark-seam'], clues: {} };
    const q = QUESTIONS.find((x) => x.id === 'seam-felt');
    if (!q) throw new Error('no question');
    const before = posterior(e, NONE_CONFIRMED);
    const after = posterior({ ...e, clues: { [q.id]: certain(q, 'ridge') } }, NONE_CONFIRMED);
    const odds = (s: readonly number[]) => share(s, 'lapped') / share(s, 'air-in-seam');
    expect(odds(after) / odds(before)).toBeCloseTo(0.91 / 0.05, 6);
  });

  test('what is half known counts half: a model that is unsure says less than one that is sure', () => {
    const at = (m: readonly number[]) =>
      share(posterior({ faults: ['faded-all'], clues: { [MODEL.id]: m } }, NONE_CONFIRMED), 'too-short');
    expect(at([1, 0, 0])).toBeGreaterThan(at([0.5, 0.5, 0]));
    expect(at([0.5, 0.5, 0])).toBeGreaterThan(at([0, 1, 0]));
  });
});

const anyEvidence = fc
  .record({
    faults: fc.uniqueArray(fc.constantFrom(...FAULT_IDS), { minLength: 1, maxLength: 4 }),
    known: fc.array(fc.tuple(fc.constantFrom(...CLUES, ...QUESTIONS), fc.nat(5)), { maxLength: 6 }),
  })
  .map(({ faults, known }): Evidence => ({
    faults,
    clues: Object.fromEntries(known.map(([c, v]) => [c.id, certain(c, c.values[v % c.values.length] ?? '')])),
  }));

test('shares are of one whole, in order, and lie within their spread, whatever is known', () => {
  fc.assert(
    fc.property(anyEvidence, (e) => {
      const ranked = rankCauses(e, NONE_CONFIRMED);
      expect(ranked.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
      ranked.forEach((c, i) => {
        expect(c.share).toBeLessThanOrEqual(ranked[i - 1]?.share ?? 1);
        expect(c.low).toBeLessThanOrEqual(c.share);
        expect(c.high).toBeGreaterThanOrEqual(c.share);
      });
    }),
    { numRuns: 40 },
  );
  expect(rankCauses({ faults: [], clues: {} }, NONE_CONFIRMED)).toEqual([]);
});

test('no question is expected to tell less than nothing, and none more than is unknown; one answered is not asked again', () => {
  fc.assert(
    fc.property(anyEvidence, (e) => {
      const shares = posterior(e, NONE_CONFIRMED);
      const unknown = shares.reduce((s, p) => (p > 0 ? s - p * Math.log2(p) : s), 0);
      for (const q of QUESTIONS) {
        const bits = expectedBits(shares, q);
        expect(bits).toBeGreaterThanOrEqual(0);
        expect(bits).toBeLessThanOrEqual(unknown + 1e-9);
      }
      for (const q of nextQuestions(e, NONE_CONFIRMED)) {
        expect(e.clues[q.question.id]).toBeUndefined();
        // Answering never makes one less sure on average.
        expect(q.sureAfter).toBeGreaterThanOrEqual(Math.max(...shares) - 1e-9);
        expect(q.costS).toBe(costS(q.question));
      }
    }),
    { numRuns: 60 },
  );
});

test('mutual information of a question that decides between two equal causes is one bit', () => {
  const shares = CAUSE_IDS.map((c) => (c === 'lint' || c === 'moisture' ? 0.5 : 0));
  const q = { id: 'x', values: ['a', 'b'], usual: [0.5, 0.5], rows: { lint: [1, 0], moisture: [0, 1] } };
  expect(expectedBits(shares, q)).toBeCloseTo(1, 12);
  expect(expectedBits(shares, { ...q, rows: {} })).toBeCloseTo(0, 12);
});

describe('what the shop settled on', () => {
  test('moves the prior as a Dirichlet does, and taking it back restores it', () => {
    const more = withConfirmed(withConfirmed(NONE_CONFIRMED, 'lint', ['colour-speck']), 'lint', [
      'colour-speck',
    ]);
    const e: Evidence = { faults: ['colour-speck', 'pale-speck'], clues: {} };
    const [before, after] = [posterior(e, NONE_CONFIRMED), posterior(e, more)];
    const odds = (s: readonly number[]) => share(s, 'lint') / share(s, 'coating-dust');
    const k = PRIOR_INSPECTIONS;
    const seen = (n: number, f: 'colour-speck' | 'pale-speck', hits: number) =>
      (12 * priorSeen('lint', f) + hits) / (12 + n);
    const rest = FAULT_IDS.filter((f) => f !== 'colour-speck' && f !== 'pale-speck').reduce(
      (p, f) => (p * (1 - (12 * priorSeen('lint', f)) / 14)) / (1 - priorSeen('lint', f)),
      1,
    );
    const by =
      ((k * priorOf('lint') + 2) / (k * priorOf('lint'))) *
      (seen(2, 'colour-speck', 2) / priorSeen('lint', 'colour-speck')) *
      (seen(2, 'pale-speck', 0) / priorSeen('lint', 'pale-speck')) *
      rest;
    expect(odds(after) / odds(before)).toBeCloseTo(by, 6);
    const back = withConfirmed(
      withConfirmed(more, 'lint', ['colour-speck'], -1),
      'lint',
      ['colour-speck'],
      -1,
    );
    CAUSE_IDS.forEach((c) => expect(share(posterior(e, back), c)).toBeCloseTo(share(before, c), 12));
  });

  test('many confirmed cases outweigh the table', () => {
    let counts = NONE_CONFIRMED;
    for (let i = 0; i < 60; i += 1) counts = withConfirmed(counts, 'moisture', ['faded-all']);
    expect(rankCauses({ faults: ['faded-all'], clues: {} }, counts)[0]?.cause).toBe('moisture');
  });
});

describe('evidence gathered from a look', () => {
  test('only what is known speaks', () => {
    expect(evidenceOf({ ...NOTHING, marks: [mark('ghost')] }, NOTHING_KNOWN)).toEqual({
      faults: ['ghost'],
      clues: {},
    });
  });

  test('marks of the paper stand for its state where nobody said it', () => {
    const clue = (marks: Inspection['marks'], paperState: Inspection['paperState'] = null) =>
      evidenceOf({ ...NOTHING, marks, paperState }, NOTHING_KNOWN).clues[USED_PAPER.id];
    expect(clue([mark('dye-left')])).toEqual(certain(USED_PAPER, 'left-all'));
    expect(clue([mark('dye-left', { kind: 'edge', edge: 'left' })])).toEqual(
      certain(USED_PAPER, 'left-in-places'),
    );
    expect(clue([mark('paper-browned')])).toEqual(certain(USED_PAPER, 'browned'));
    expect(clue([mark('paper-browned')], 'even')).toEqual(certain(USED_PAPER, 'even'));
    expect(clue([mark('ghost')])).toBeUndefined();
  });

  test.each([
    [{ setS: 60, keptS: 55 }, 'early'],
    [{ setS: 60, keptS: 62 }, 'on-time'],
    [{ setS: 60, keptS: 75 }, 'late'],
    [{ setS: 300, keptS: 312 }, 'on-time'],
  ])('kept %o is %s', (kept, word) => {
    const { clues } = evidenceOf(NOTHING, { ...NOTHING_KNOWN, kept });
    expect(clues.opened).toEqual(certain(CLUES.find((c) => c.id === 'opened') ?? USED_PAPER, word));
  });

  test('the last reply counts; a reply to a question of another time is passed over', () => {
    const replies = [
      { question: 'dry', answer: 'yes' },
      { question: 'dry', answer: 'no' },
      { question: 'asked-once-upon-a-time', answer: 'yes' },
      { question: 'peeled', answer: 'an-answer-of-another-time' },
    ];
    const { clues } = evidenceOf({ ...NOTHING, replies }, NOTHING_KNOWN);
    expect(clues.dry).toEqual([0, 1]);
    expect(Object.keys(clues)).toEqual(['dry']);
  });

  test('dye left on the paper speaks for too little, a browned paper for too much', () => {
    const at = (paperState: Inspection['paperState']) =>
      posterior(
        evidenceOf({ ...NOTHING, marks: [mark('faded-all')], paperState }, NOTHING_KNOWN),
        NONE_CONFIRMED,
      );
    expect(share(at('left-all'), 'too-cool')).toBeGreaterThan(share(at('even'), 'too-cool'));
    const brown = (paperState: Inspection['paperState']) =>
      posterior(
        evidenceOf({ ...NOTHING, marks: [mark('browned')], paperState }, NOTHING_KNOWN),
        NONE_CONFIRMED,
      );
    expect(share(brown('browned'), 'too-long')).toBeGreaterThan(share(brown('even'), 'too-long') - 0.05);
  });

  test('a corner speaks for the press, the seam for the seam', () => {
    const face = { widthMm: 200, heightMm: 300, wrap: false };
    const e = evidenceOf(
      { ...NOTHING, marks: [mark('faded-edge', { kind: 'point', xMm: 8, yMm: 8 })] },
      { ...NOTHING_KNOWN, face },
    );
    expect(e.clues[WHERE.id]).toEqual(certain(WHERE, 'corner'));
    expect(rankCauses(e, NONE_CONFIRMED)[0]?.cause).toBe('uneven-pressure');
  });
});

test('a job’s entries add up', () => {
  expect(tallyOf([])).toEqual({ good: 0, seconds: 0, spoiled: 0, entries: 0 });
  expect(
    tallyOf([entryOf('a', { good: 3, spoiled: 0 }), entryOf('b', { good: 2, seconds: 4, spoiled: 1 })]),
  ).toEqual({
    good: 5,
    seconds: 4,
    spoiled: 1,
    entries: 2,
  });
});
