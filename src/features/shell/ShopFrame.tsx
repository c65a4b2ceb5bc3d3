'use client';

import { GlossaryButton } from './GlossaryButton';
import { usePageTitle } from '@/ui/usePageTitle';
import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { Brand } from './Brand';
import { SetAsideNotice } from './SetAsideNotice';
import { useShop } from './shopContext';
import { UnitToggles } from './UnitToggles';

const SHOP_PAGES = [
  { href: '/', label: say('common.jobs') },
  { href: '/schedule', label: say('common.schedule') },
  { href: '/pressing', label: say('common.pressing') },
  { href: '/blanks', label: say('common.blanks') },
  { href: '/presses', label: say('common.presses') },
  { href: '/papers', label: say('common.papers') },
  { href: '/stock', label: say('common.stock') },
  { href: '/pricing', label: say('common.pricing') },
  { href: '/logbook', label: say('common.logbook') },
  { href: '/settings', label: say('common.settings2') },
] as const;

/** On a phone the pages stand in one row that scrolls: the open one is brought into sight. */
const intoSight = (list: HTMLUListElement | null): void => {
  const here = list?.querySelector('[aria-current]')?.parentElement;
  if (list && here) list.scrollLeft = here.offsetLeft - (list.clientWidth - here.clientWidth) / 2;
};

interface Props {
  readonly title: string;
  /** What the browser calls the page, where that is not its heading. */
  readonly pageTitle?: string;
  readonly about?: string;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}

/** The frame of the shop's own pages: rail, heading, content. */
export function ShopFrame({ title, pageTitle = title, about, actions, children }: Props) {
  const t = useWords();
  const path = usePathname();
  usePageTitle(pageTitle);
  const { shop } = useShop();
  return (
    <div className="flex h-dvh flex-col md:flex-row">
      <nav
        aria-label={t('common.shop')}
        className="on-night flex shrink-0 items-center bg-night md:w-44 md:flex-col md:items-stretch"
      >
        <Brand />
        <ul className="flex min-w-0 flex-1 overflow-x-auto md:flex-none md:flex-col" ref={intoSight}>
          {SHOP_PAGES.map(({ href, label }) => {
            const here = path === href;
            return (
              <li key={href}>
                <Link
                  href={href}
                  aria-current={here ? 'page' : undefined}
                  className={`block px-4 py-3 font-name whitespace-nowrap md:py-2.5 text-lead font-semibold md:text-name ${here ? 'bg-sheet text-ink' : 'text-pale hover:bg-strata-2'}`}
                >
                  {t(label)}
                </Link>
              </li>
            );
          })}
        </ul>
        <div className="mt-auto hidden px-4 py-3 font-label text-fine text-mist md:block">
          <GlossaryButton className="min-h-9 text-pale underline underline-offset-4" />
          <p>{shop.settings.shopName}</p>
        </div>
      </nav>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <header className="flex min-h-13 flex-wrap items-center justify-between gap-x-4 gap-y-2 border-b-2 border-ink px-5 py-1.5">
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h1 className="font-name text-head leading-tight font-semibold">{title}</h1>
            {about && <p className="text-soft">{about}</p>}
          </div>
          <div className="flex flex-wrap items-center gap-3">
            {actions}
            <UnitToggles />
          </div>
        </header>
        <SetAsideNotice />
        <main className="min-h-0 flex-1 overflow-auto" tabIndex={-1}>
          {children}
        </main>
      </div>
    </div>
  );
}
