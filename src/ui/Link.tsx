'use client';

import NextLink from 'next/link';
import { useState, type ComponentProps } from 'react';

/**
 * A link within the application. What lies behind it is fetched when it is pointed at or focused: a list of jobs has eight links for each, and a
 * shop has hundreds of jobs.
 */
export function Link(props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) {
  const [near, setNear] = useState(false);
  const come = () => setNear(true);
  return <NextLink {...props} prefetch={near ? null : false} onPointerEnter={come} onFocus={come} />;
}
