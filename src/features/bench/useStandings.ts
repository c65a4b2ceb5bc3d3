'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import { shopKey, standingKey, type Standing } from '@/core/plan/standing';
import type { StandingRecord } from '@/data/db';
import { keepStandings, loadStandings } from '@/data/standings';
import { useShop } from '../shell/shopContext';

const look = () => loadStandings();
const breath = () => new Promise((resolve) => setTimeout(resolve));

/** Where every job stands, by its id: as kept where nothing has changed since, reckoned anew, one after another, where it has. */
export function useStandings(): ReadonlyMap<string, Standing> {
  const { shop, jobs } = useShop();
  const kept = useLiveQuery(look);
  const [made, setMade] = useState<ReadonlyMap<string, StandingRecord>>(new Map());
  const keys = useMemo(() => {
    const ofShop = shopKey(shop);
    return new Map(jobs.map(({ id, job }) => [id, standingKey(job, ofShop)]));
  }, [shop, jobs]);
  const fresh = useMemo(() => {
    const found = [...(kept ?? []), ...made.values()].filter((r) => keys.get(r.id) === r.key);
    return new Map(found.map((r) => [r.id, r.standing]));
  }, [kept, made, keys]);

  const next = kept ? jobs.find((j) => !fresh.has(j.id)) : undefined;
  useEffect(() => {
    if (!next) return;
    let gone = false;
    const reckon = async () => {
      const { standingOf } = await import('@/core/plan/standingOf');
      // A breath between jobs, so that a full bench can be scrolled meanwhile.
      await breath();
      if (gone) return;
      const { id, job } = next;
      const record = { id, key: keys.get(id) ?? '', standing: standingOf(job, shop) };
      setMade((before) => new Map(before).set(id, record));
      await keepStandings([record], [...keys.keys()]);
    };
    void reckon();
    return () => {
      gone = true;
    };
  }, [next, keys, shop]);
  return fresh;
}
