import { moneyOf } from '../message/quantity';
import { issueOf } from '../basics/rule';
import { say, type Write, amountMessage } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { A4_MM, wrapWords, type DrawnPage } from '../geometry/drawing';
import { outlineShape } from '../geometry/tiles';
import { quoteSchema, stateOf, type Quote, type QuoteState } from '../shop/quote';

const WHERE = say('common.quote');

export interface QuoteGiven {
  readonly id: string;
  readonly jobId: string;
  readonly jobName: string;
  readonly number: number;
  readonly at: number;
  readonly madeOn: string;
  readonly validUntil: string;
  readonly customer: string;
  readonly currency: string;
  readonly what: string;
  readonly pieces: number;
  readonly eachCents: number;
  readonly postageCents: number;
  /** What the line of postage and packing is called on the quote. */
  readonly postageWords: string;
  readonly costCents: number;
  readonly readyOn: string | null;
  readonly terms: string;
  readonly note: string;
}

/** A quote as it is offered: its lines come to their total, or there is none. */
export function makeQuote(g: QuoteGiven): Result<Quote> {
  if (g.eachCents <= 0)
    return fail(say('pricing.quoteNeedsPriceAbove'), WHERE, say('pricing.enterPriceAbove0'));
  const lines = [
    { what: g.what, pieces: g.pieces, eachCents: g.eachCents, sumCents: g.eachCents * g.pieces },
    ...(g.postageCents > 0
      ? [
          {
            what: g.postageWords,
            pieces: 1,
            eachCents: g.postageCents,
            sumCents: g.postageCents,
          },
        ]
      : []),
  ];
  const { what: _w, pieces: _p, eachCents: _e, postageCents: _c, postageWords: _w2, ...rest } = g;
  const parsed = quoteSchema.safeParse({
    ...rest,
    lines,
    totalCents: lines.reduce((s, l) => s + l.sumCents, 0),
    history: [{ at: g.at, state: 'made' }],
  });
  return parsed.success
    ? ok(parsed.data)
    : fail(
        issueOf(parsed.error) ?? say('pricing.quoteCannotCreated'),
        WHERE,
        say('pricing.correctThenCreateAgain'),
      );
}

/** The same quote in another state: what it was before stays in its history. */
export const moved = (q: Quote, state: QuoteState, at: number): Quote =>
  stateOf(q) === state ? q : { ...q, history: [...q.history, { at, state }] };

/** Whether it still stands on a day, ISO. */
export const standsOn = (q: Quote, day: string): boolean =>
  day <= q.validUntil && stateOf(q) !== 'declined' && stateOf(q) !== 'replaced';

const LEFT = 22;
const RIGHT = A4_MM.widthMm - 22;
const LETTERS = 88;

const rule = (y: number) =>
  outlineShape(
    [
      { x: LEFT, y },
      { x: RIGHT, y },
    ],
    false,
    0,
    0.4,
  );

/** A page of A4 for the customer: who, what, how much, until when. Nothing of what it costs the shop. */
export function quotePage(q: Quote, shopName: string, write: Write): DrawnPage {
  const priced = (cents: number) => amountMessage(moneyOf(q.currency, cents));
  const words: DrawnPage['words'][number][] = [
    { x: LEFT, y: 30, sizeMm: 8, text: shopName },
    { x: LEFT, y: 46, sizeMm: 5.5, text: write(say('pricing.quoteNumber', { number: q.number })) },
    { x: RIGHT, y: 46, sizeMm: 4, text: q.madeOn, right: true },
    {
      x: LEFT,
      y: 56,
      sizeMm: 4,
      text:
        q.customer === ''
          ? q.jobName
          : write(say('pricing.quoteFor', { customer: q.customer, job: q.jobName })),
    },
    { x: LEFT, y: 72, sizeMm: 3.6, text: write(say('common.what')) },
    { x: 122, y: 72, sizeMm: 3.6, text: write(say('common.pieces')), right: true },
    { x: 152, y: 72, sizeMm: 3.6, text: write(say('pricing.each')), right: true },
    { x: RIGHT, y: 72, sizeMm: 3.6, text: write(say('pricing.sum')), right: true },
  ];
  let y = 84;
  for (const l of q.lines) {
    words.push(
      { x: LEFT, y, sizeMm: 4, text: l.what.slice(0, 46) },
      { x: 122, y, sizeMm: 4, text: String(l.pieces), right: true },
      { x: 152, y, sizeMm: 4, text: write(priced(l.eachCents)), right: true },
      { x: RIGHT, y, sizeMm: 4, text: write(priced(l.sumCents)), right: true },
    );
    y += 9;
  }
  const totalY = y + 3;
  words.push(
    { x: LEFT, y: totalY, sizeMm: 5, text: write(say('pricing.total')) },
    { x: RIGHT, y: totalY, sizeMm: 5, text: write(priced(q.totalCents)), right: true },
    { x: LEFT, y: totalY + 14, sizeMm: 4, text: write(say('pricing.validUntil', { day: q.validUntil })) },
  );
  y = totalY + 21;
  if (q.readyOn !== null) {
    words.push({ x: LEFT, y, sizeMm: 4, text: write(say('pricing.readyOn', { day: q.readyOn })) });
    y += 7;
  }
  for (const text of [
    ...(q.note === '' ? [] : wrapWords(q.note, LETTERS)),
    ...(q.terms === '' ? [] : wrapWords(q.terms, LETTERS)),
  ]) {
    words.push({ x: LEFT, y: y + 4, sizeMm: 3.6, text });
    y += 5.5;
  }
  return { ...A4_MM, words, shapes: [rule(75), rule(totalY - 7), rule(totalY + 3)] };
}
