'use client';

import Link from 'next/link';
import { plan } from '@/core/plan/plan';
import { pressBlocked } from '@/core/plan/newRun';
import { useMemo } from 'react';
import { useShop } from '../shell/shopContext';

const MOST = 8;

/** No press is on: the jobs that could go in now. */
export function ReadyJobs() {
  const { shop, jobs, proven } = useShop();
  const ready = useMemo(
    () =>
      jobs
        .map(({ job }) => ({ job, made: plan(job, shop, { proven }) }))
        .filter(({ made }) => !pressBlocked(made) && made.press.left > 0)
        .slice(0, MOST),
    [jobs, shop, proven],
  );
  return (
    <div className="grid content-start gap-4 p-8">
      <h2 className="font-name text-big font-semibold">No press is on.</h2>
      <p className="text-lead">
        {ready.length > 0
          ? 'These jobs are ready to press.'
          : 'No job is ready to press yet: set its heat first.'}
      </p>
      <ul className="grid max-w-3xl gap-2">
        {ready.map(({ job, made }) => (
          <li key={job.id}>
            <Link
              href={`/press/${job.id}`}
              className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-2 border-mist px-5 py-2 font-label text-name hover:bg-strata-2"
            >
              <span className="font-semibold">{job.name}</span>
              <span>
                {made.press.left} to press · {made.heat.press?.name}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
