'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { FileUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import {
  cellOf,
  countNote,
  chosenNames,
  listText,
  pictureNamed,
  totalOf,
  withNames,
  withoutNames,
  type CountChoice,
} from '@/core/art/names';
import { decodeText, readNames, type ReadNames } from '@/core/formats/namesList';
import type { Names, PictureRef } from '@/core/job/art';
import { problemMessage } from '@/core/basics/result';
import { newId } from '@/data/ids';
import { importPicture } from '@/data/pictures';
import { sayDropped } from './DroppedDialog';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { Labelled } from '@/ui/Labelled';
import { Select } from '@/ui/Select';
import { Dialog } from '@/ui/Dialog';
import { notify, notifyProblem } from '@/ui/notify';
import { useJob } from '../job/jobContext';
import { PICTURE_FILES } from './pictureFiles';
import { whileReading } from './reading';
import { ReadingStatus } from './ReadingStatus';
import { MOST_TABLE_BYTES, readBytes } from '@/data/readFile';

const ONE_EACH = ' one each';

/** Names pasted or from a CSV file, a row a piece. */
export function NamesDialog({ onClose }: { onClose: () => void }) {
  const t = useWords();
  const { job, edit } = useJob();
  const { names: old } = job.art;
  const [text, setText] = useState(old ? listText(old) : '');
  const [pictures, setPictures] = useState<readonly PictureRef[]>(old?.pictures ?? []);
  const [count, setCount] = useState<CountChoice>(old ? { column: old.countColumn } : 'as read');
  const read = useMemo(() => (text.trim() === '' ? null : readNames(text)), [text]);

  const open = async (file: File) => {
    const bytes = await readBytes(file, MOST_TABLE_BYTES, say('art.splitList'));
    const decoded = bytes.ok ? decodeText(bytes.value) : bytes;
    if (decoded.ok) setText(decoded.value);
    else notifyProblem(decoded.problem);
  };
  const importFile = async (file: File) => {
    const r = await whileReading(file.name, importPicture(file, sayDropped));
    if (r.ok) setPictures((p) => [...p.filter((x) => x.name !== r.value.name), r.value].slice(-60));
    else notifyProblem(r.problem);
  };
  const names = read?.ok ? chosenNames(read.value.names, count, pictures) : null;
  const keep = () => {
    if (!names) return;
    edit((j) => withNames(j, names, newId('text')));
    notify(t('art.piecesName', { names: totalOf(names) }));
    onClose();
  };
  return (
    <Dialog open wide onClose={onClose} title={t('art.names2')} about={t('art.oneLineTablePaste')}>
      <div className="grid gap-4 md:grid-cols-2">
        <div className="grid content-start gap-2">
          <label className="font-label text-fine font-medium text-soft">
            {t('art.theList')}
            <textarea
              value={text}
              onChange={(e) => setText(e.target.value)}
              rows={12}
              spellCheck={false}
              placeholder={t('art.amaroBrisaQuellCorin')}
              className="block w-full border-2 border-ink bg-white p-2 font-label text-base text-ink [tab-size:36]"
            />
          </label>
          <div className="flex flex-wrap gap-2">
            <FileButton
              label={t('art.listFile')}
              accept=".csv,.tsv,.txt,text/csv,text/plain"
              onFile={(f) => void open(f)}
            >
              <FileUp size={18} aria-hidden /> {t('art.openCsvFile')}
            </FileButton>
            <FileButton
              label={t('art.pictureList')}
              accept={PICTURE_FILES}
              onFile={(f) => void importFile(f)}
            >
              {t('art.pictureNamedList')}
            </FileButton>
          </div>
        </div>
        <div className="relative grid content-start gap-2">
          <ReadingStatus />
          {read && !read.ok && (
            <p role="alert" className="border-l-4 border-act pl-2 text-lead">
              {t(problemMessage(read.problem))}
            </p>
          )}
          {!read && <p className="text-soft">{t('art.previewListAppearsHere')}</p>}
          {read?.ok && names && (
            <>
              <Read read={read.value} names={names} />
              <Labelled label={t('art.quantity')}>
                <Select
                  label={t('art.columnQuantities')}
                  value={names.countColumn ?? ONE_EACH}
                  options={[
                    { value: ONE_EACH, label: t('art.oneEach2') },
                    ...names.columns.map((c) => ({ value: c, label: c })),
                  ]}
                  onChange={(v) => setCount({ column: v === ONE_EACH ? null : v })}
                  className="w-48"
                />
              </Labelled>
            </>
          )}
        </div>
      </div>
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        {old && (
          <Button
            onClick={() => {
              edit(withoutNames);
              onClose();
            }}
          >
            {t('art.removeList')}
          </Button>
        )}
        <Button onClick={onClose}>{t('common.cancel')}</Button>
        <Button kind="act" disabled={!names} onClick={keep}>
          {names ? t('art.keepThesePieces', { names: totalOf(names) }) : t('art.saveList')}
        </Button>
      </div>
    </Dialog>
  );
}

const SHOWN_ROWS = 60;

function Read({ read, names }: { read: ReadNames; names: Names }) {
  const t = useWords();
  const { job } = useJob();
  const pictureFields = job.art.layers.flatMap((l) =>
    l.kind === 'picture' && l.field !== null ? [l.field] : [],
  );
  const lost = names.rows.flatMap((r) =>
    pictureFields.map((f) => cellOf(names, r, f)).filter((c) => c !== '' && pictureNamed(names, c) === null),
  );
  const counts = countNote(names);
  return (
    <>
      <ul className="list-disc pl-5 text-fine leading-snug text-soft">
        {counts && <li className="font-semibold text-act-deep">{t(counts)}</li>}
        {read.notes.map((n) => (
          <li key={n.id}>{t(n)}</li>
        ))}
        {names.pictures.length > 0 && (
          <li>{t('art.picturesImported', { pictures: names.pictures.map((p) => p.name) })}</li>
        )}
        {lost.length > 0 && <li>{t('art.importedYet', { value: [...new Set(lost)].slice(0, 5) })}</li>}
      </ul>
      <div
        className="max-h-64 overflow-auto border-2 border-ink bg-white"
        tabIndex={0}
        role="region"
        aria-label={t('art.listRead')}
      >
        <table className="w-full text-left font-label">
          <thead className="sticky top-0 bg-board">
            <tr>
              <th scope="col" className="w-10 px-2 py-1">
                {t('art.no')}
              </th>
              {names.columns.map((c) => (
                <th key={c} scope="col" className="px-2 py-1">
                  {c}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {names.rows.slice(0, SHOWN_ROWS).map((r, i) => (
              <tr key={i} className="border-t border-rule">
                <td className="px-2 text-soft tabular-nums">{i + 1}</td>
                {names.columns.map((c, k) => (
                  <td key={c} className="px-2">
                    {r[k] ?? ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {names.rows.length > SHOWN_ROWS && (
        <p className="text-fine text-soft">{t('art.moreRows', { rows: names.rows.length - SHOWN_ROWS })}</p>
      )}
    </>
  );
}
