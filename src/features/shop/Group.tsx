import type { ReactNode } from 'react';

/** Settings that belong together, with what they are about beside them. */
export const SettingsGroup = ({
  title,
  about,
  children,
}: {
  title: string;
  about: string;
  children: ReactNode;
}) => (
  <section className="grid gap-3 py-5 md:grid-cols-[16rem_1fr]" aria-label={title}>
    <div>
      <h2 className="font-name text-name font-semibold">{title}</h2>
      <p className="text-fine leading-snug text-soft">{about}</p>
    </div>
    <div className="flex flex-wrap items-start gap-x-6 gap-y-3">{children}</div>
  </section>
);
