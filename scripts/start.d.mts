import type { ChildProcess } from 'node:child_process';

export function startServer(options?: {
  demo?: boolean;
  port?: number;
  quiet?: boolean;
}): Promise<{ child: ChildProcess; address: string; port: number }>;
