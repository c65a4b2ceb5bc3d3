import { startServer } from '../scripts/start.mjs';

/** Starts the built application twice for the tests, with the demo shop and without, and ends both after them. */
export default async function globalSetup(): Promise<() => void> {
  const demo = await startServer({ demo: true, port: 4600, quiet: true });
  const plain = await startServer({ demo: false, port: demo.port + 1, quiet: true });
  process.env.MESA_ADDRESS = demo.address;
  process.env.MESA_PLAIN_ADDRESS = plain.address;
  return () => {
    demo.child.kill();
    plain.child.kill();
  };
}
