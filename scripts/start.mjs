// Starts the built application on the loopback address and prints where it is.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';

/** The port asked for, or the next free one after it. */
async function freePort(from) {
  for (let port = from; port < from + 50; port += 1) {
    const free = await new Promise((resolve) => {
      const probe = createServer();
      probe.once('error', () => resolve(false));
      probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
    });
    if (free) return port;
  }
  throw new Error(`No free port from ${from} to ${from + 49}.`);
}

/** Starts the server; resolves with its process and address once it answers. */
export async function startServer({
  demo = false,
  port = Number(process.env.PORT ?? 4310),
  quiet = false,
} = {}) {
  const chosen = await freePort(port);
  const address = `http://127.0.0.1:${chosen}`;
  const child = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(chosen)],
    {
      stdio: quiet ? 'ignore' : ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...(demo ? { MESA_DRIFT_DEMO: '1' } : {}) },
    },
  );
  for (let i = 0; i < 120; i += 1) {
    if (child.exitCode !== null) throw new Error('The server stopped while starting.');
    try {
      const answer = await fetch(address);
      if (answer.ok) return { child, address, port: chosen };
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  child.kill();
  throw new Error('The server did not answer within 30 s.');
}

if (import.meta.url === `file://${process.argv[1]}`) {
  const { child, address } = await startServer({ demo: process.env.MESA_DRIFT_DEMO === '1' });
  process.stdout.write(`\nMesa Drift is at ${address}\nStop it with Ctrl C.\n`);
  const end = () => child.kill();
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
  child.on('exit', (code) => process.exit(code ?? 0));
}
