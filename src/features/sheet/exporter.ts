import { say, type Message, type Write } from '@/core/message/message';
import { sourcesOf } from '@/core/art/items';
import { drawSheet, drawSheets } from '@/core/plan/sheet/pages';
import { fail, ok, type Result } from '@/core/basics/result';
import { cutListCsv } from '@/core/formats/cutList';
import { manifestText, type ManifestFile } from '@/core/formats/manifest';
import { patternSvg } from '@/core/formats/svg';
import { templateSvg } from '@/core/formats/templateSvg';
import { templatePage } from '@/core/sheet/template';
import { picturesOf, type PictureRef } from '@/core/job/art';
import type { Job } from '@/core/job/job';
import type { Plan } from '@/core/plan/planShape';
import { printPackageOf } from '@/core/plan/sheet/printPackage';
import { pieceAlone, type Page } from '@/core/sheet/pages';
import { fileName } from '../shell/fileName';
import type { PageRequest, PictureBytes, SheetRequest } from '@/workers/files.worker';

/** One file of a job: its name, what it is, and its bytes. */
export interface MadeFile {
  readonly name: string;
  readonly what: Message;
  readonly mime: string;
  readonly bytes: Uint8Array;
}

/** What draws and packs, and where the pictures' bytes are: the worker and the database, or stubs of them in a test. */
export interface Machines {
  /** Writes what stands on the sheets. */
  readonly write: Write;
  readonly pdf: (request: SheetRequest) => Promise<Result<Uint8Array>>;
  readonly png: (request: PageRequest) => Promise<Result<Uint8Array>>;
  readonly svg: (request: PageRequest, title: string) => Promise<Result<string>>;
  readonly zip: (
    files: readonly { readonly name: string; readonly bytes: Uint8Array }[],
  ) => Promise<Result<Uint8Array>>;
  readonly bytesOf: (refs: readonly PictureRef[]) => Promise<Result<readonly PictureBytes[]>>;
  /** A picture's own bytes as it came; null where it is not kept. */
  readonly originalBytes: (ref: PictureRef) => Promise<Uint8Array | null>;
}

const encoded = (s: string): Uint8Array => new TextEncoder().encode(s);

/** The sources that some pages draw from, and no others. */
export function usedIn<T>(
  pages: readonly Page[],
  sources: Readonly<Record<string, T>>,
): Readonly<Record<string, T>> {
  const used = new Set(
    pages.flatMap((p) => p.items.flatMap((i) => (i.kind === 'picture' ? [i.source] : []))),
  );
  return Object.fromEntries(Object.entries(sources).filter(([k]) => used.has(k)));
}

interface Subject {
  readonly job: Job;
  readonly plan: Plan;
}

async function requestOf(
  { job, plan }: Subject,
  sheet: number | undefined,
  m: Machines,
): Promise<Result<SheetRequest>> {
  const { toDraw } = plan.sheet;
  if (!toDraw)
    return fail(say('sheet.nothingLaidSheetYet'), say('job.sheet'), say('sheet.readFindingsBelow'));
  const drawn = sheet === undefined ? drawSheets(toDraw, m.write) : drawSheet(toDraw, sheet, m.write);
  const { pages } = drawn;
  const sources = usedIn(pages, drawn.sources);
  const pictures = await m.bytesOf(Object.values(sources).map((s) => s.ref));
  return pictures.ok
    ? ok({ title: job.name, pages, sources, pictures: pictures.value, ppi: plan.sheet.printer.ppi })
    : pictures;
}

const made = <T>(r: Result<T>, file: (value: T) => MadeFile): Result<MadeFile> =>
  r.ok ? ok(file(r.value)) : r;

/** All sheets as PDF, or one by its number from 0. */
export async function pdfFile(of: Subject, m: Machines, sheet?: number): Promise<Result<MadeFile>> {
  const base = fileName(of.job.name);
  const request = await requestOf(of, sheet, m);
  if (!request.ok) return request;
  const name = sheet === undefined ? `${base}.pdf` : `${base}-sheet-${sheet + 1}.pdf`;
  return made(await m.pdf(request.value), (bytes) => ({
    name,
    what:
      sheet === undefined ? say('sheet.allSheetsTrueSize') : say('sheet.sheetTrueSize', { sheet: sheet + 1 }),
    mime: 'application/pdf',
    bytes,
  }));
}

/** One sheet as it will be printed, marks and all. */
async function sheetRequest(of: Subject, sheet: number, m: Machines): Promise<Result<PageRequest>> {
  const r = await requestOf(of, sheet, m);
  if (!r.ok) return r;
  const { pages, sources, pictures, ppi } = r.value;
  const [page] = pages;
  return page
    ? ok({ page, sources, pictures, ppi })
    : fail(say('sheet.thereSuchSheet'), say('job.sheet'), say('sheet.chooseAnother'));
}

export async function sheetPngFile(of: Subject, m: Machines, sheet: number): Promise<Result<MadeFile>> {
  const request = await sheetRequest(of, sheet, m);
  if (!request.ok) return request;
  return made(await m.png(request.value), (bytes) => ({
    name: `${fileName(of.job.name)}-sheet-${sheet + 1}.png`,
    what: say('sheet.sheetMarks', { sheet: sheet + 1 }),
    mime: 'image/png',
    bytes,
  }));
}

export async function sheetSvgFile(of: Subject, m: Machines, sheet: number): Promise<Result<MadeFile>> {
  const request = await sheetRequest(of, sheet, m);
  if (!request.ok) return request;
  return made(await m.svg(request.value, of.job.name), (text) => ({
    name: `${fileName(of.job.name)}-sheet-${sheet + 1}.svg`,
    what: say('sheet.sheetOneUnitMillimetre', { sheet: sheet + 1 }),
    mime: 'image/svg+xml',
    bytes: encoded(text),
  }));
}

/** One piece out to its bleed, without marks. */
export async function piecePngFile({ job, plan }: Subject, m: Machines): Promise<Result<MadeFile>> {
  const { pattern } = plan.wrap;
  const { board, placedLayers } = plan.art;
  if (!pattern || !board)
    return fail(say('sheet.wrapHasSizeYet'), say('sheet.png'), say('sheet.measureBlankFirst'));
  const { ppi } = plan.sheet.printer;
  const sources = sourcesOf(placedLayers, board, pattern.bleed);
  const pictures = await m.bytesOf(Object.values(sources).map((s) => s.ref));
  if (!pictures.ok) return pictures;
  const page = pieceAlone(pattern, placedLayers, plan.sheet.mirrorBy === 'app');
  return made(await m.png({ page, sources, pictures: pictures.value, ppi }), (bytes) => ({
    name: `${fileName(job.name)}-piece.png`,
    what: say('sheet.onePieceOutBleed', { ppi }),
    mime: 'image/png',
    bytes,
  }));
}

/** The empty template for a design made elsewhere, as a drawing with layers, as pixels or as a page; lines only. */
export async function templateFile(
  { job, plan }: Subject,
  m: Machines,
  as: 'svg' | 'png' | 'pdf',
  ppi: number,
): Promise<Result<MadeFile>> {
  const { pattern } = plan.wrap;
  if (!pattern) return fail(say('sheet.wrapHasSizeYet'), say('art.template'), say('sheet.measureBlankFirst'));
  const name = `${fileName(job.name)}-template.${as}`;
  const what = say('art.templateWhat');
  if (as === 'svg')
    return ok({ name, what, mime: 'image/svg+xml', bytes: encoded(templateSvg(pattern, job.name, m.write)) });
  const page = templatePage(pattern);
  const drawn =
    as === 'png'
      ? await m.png({ page, sources: {}, pictures: [], ppi, ground: 'clear' })
      : await m.pdf({ title: job.name, pages: [page], sources: {}, pictures: [], ppi });
  return made(drawn, (bytes) => ({
    name,
    what,
    mime: as === 'png' ? 'image/png' : 'application/pdf',
    bytes,
  }));
}

/** Outlines for a cutter; null while the wrap has no size. */
export function patternFile({ job, plan }: Subject): MadeFile | null {
  const { pattern } = plan.wrap;
  return (
    pattern && {
      name: `${fileName(job.name)}-pattern.svg`,
      what: say('sheet.outlinesCutterMm'),
      mime: 'image/svg+xml',
      bytes: encoded(patternSvg(pattern, job.name)),
    }
  );
}

export function cutListFile({ job, plan }: Subject): MadeFile {
  const { layout, parts } = plan.sheet;
  return {
    name: `${fileName(job.name)}-cut-list.csv`,
    what: say('sheet.whichPieceLiesWhere'),
    mime: 'text/csv',
    bytes: encoded(layout ? cutListCsv(layout, parts) : ''),
  };
}

/** Pictures as they were imported, each name once; those the application draws are made again from their seed and left out. */
async function pictureFiles(job: Job, m: Machines): Promise<readonly MadeFile[]> {
  const files = new Map<string, MadeFile>();
  for (const ref of picturesOf(job.art)) {
    const name = `pictures/${ref.name}`;
    if (ref.drawn || files.has(name)) continue;
    const bytes = await m.originalBytes(ref);
    if (bytes) files.set(name, { name, what: say('sheet.wasImported'), mime: ref.mime, bytes });
  }
  return [...files.values()];
}

/** Everything in one ZIP, with a manifest that says what each file is. `madeOn` is a day, yyyy-mm-dd. */
export async function packageFile(of: Subject, m: Machines, madeOn: string): Promise<Result<MadeFile>> {
  const pdf = await pdfFile(of, m);
  if (!pdf.ok) return pdf;
  const png = await piecePngFile(of, m);
  if (!png.ok) return png;
  const pattern = patternFile(of);
  const files = [
    pdf.value,
    png.value,
    { ...cutListFile(of), name: 'cut-list.csv' },
    ...(pattern ? [pattern] : []),
    ...(await pictureFiles(of.job, m)),
  ];
  const listed = files.map((f): ManifestFile => ({
    name: f.name,
    what: m.write(f.what),
    bytes: f.bytes.length,
  }));
  const manifest = encoded(manifestText(printPackageOf(of.job, of.plan), listed, madeOn, m.write));
  const packed = await m.zip([
    { name: 'manifest.json', bytes: manifest },
    ...files.map(({ name, bytes }) => ({ name, bytes })),
  ]);
  return made(packed, (bytes) => ({
    name: `${fileName(of.job.name)}.zip`,
    what: say('sheet.everything'),
    mime: 'application/zip',
    bytes,
  }));
}
