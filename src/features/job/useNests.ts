'use client';

import { say } from '@/core/message/message';
import { useEffect, useState } from 'react';
import { nestKey, type NestRequest, type Nests } from '@/core/sheet/nest/request';
import type { Nest } from '@/core/sheet/nest/shape';
import { inWorker } from '@/workers/client';

/** Not while a hand is still moving something. */
const REST_MS = 200;
const KEPT = 24;

/** Where the worker could not say: rows and columns it stays, and nobody waits for more. */
const NOTHING: Nest = { sheets: [], left: 1 };

export interface FoundNests {
  readonly nests: Nests;
  /** Has the worker look for layouts that are wanted and not known. */
  readonly look: (wanted: readonly NestRequest[]) => () => void;
}

/** Free layouts of sheets, looked for thoroughly in the worker and kept while the job is open. */
export function useNests(): FoundNests {
  const [nests, setNests] = useState<Nests>({});
  const [look] = useState(() => (wanted: readonly NestRequest[]) => {
    const timer = setTimeout(() => {
      void inWorker(say('job.sheet'), (api) => api.nests(wanted)).then((r) => {
        const found = wanted.map(
          (request, i) => [nestKey(request), (r.ok ? r.value[i] : null) ?? NOTHING] as const,
        );
        setNests((known) => Object.fromEntries([...Object.entries(known), ...found].slice(-KEPT)));
      });
    }, REST_MS);
    return () => clearTimeout(timer);
  });
  return { nests, look };
}

/** Asks for the layouts a plan still wants. */
export function useNestQueries(wanted: readonly NestRequest[] | undefined, look: FoundNests['look']): void {
  useEffect(() => (wanted && wanted.length > 0 ? look(wanted) : undefined), [wanted, look]);
}
