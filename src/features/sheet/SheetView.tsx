'use client';

import { useState } from 'react';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { Files } from './Files';
import { ReprintBar } from './ReprintBar';
import { SheetOptions } from './SheetOptions';
import { PanelsBar } from './PanelsBar';
import { PaperBoard } from './PaperBoard';
import { SheetTools } from './SheetTools';

/** The sheets as they will be printed: pieces laid out, ticks, ruler, label; and the files that print them. */
export function SheetView() {
  const { plan } = useJob();
  const [at, setAt] = useState(0);
  if (!plan.blank.blank) return <NeedsBlank />;
  const page = Math.min(at, Math.max(0, (plan.sheet.layout?.sheets.length ?? 0) - 1));
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <ReprintBar />
      <SheetTools />
      <PanelsBar />
      <SheetOptions />
      <div className="relative min-h-[20rem] flex-[1_0_auto] max-sm:order-first">
        <PaperBoard at={page} onAt={setAt} />
      </div>
      <Files at={page} />
    </div>
  );
}
