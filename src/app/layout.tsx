import type { Metadata, Viewport } from 'next';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { Shell } from '@/features/shell/Shell';
import './globals.css';

export const metadata: Metadata = {
  title: 'Mesa Drift',
  description: 'From tape readings to a pressed piece, and what worked.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Pages are made per request: each answer carries its own script nonce, and the demo switch is read when run.
  await connection();
  return (
    <html lang="en">
      <body>
        <Shell demo={process.env.MESA_DRIFT_DEMO === '1'}>{children}</Shell>
      </body>
    </html>
  );
}
