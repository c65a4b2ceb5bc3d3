// One command from a fresh clone to the running application with the demo shop: npm run demo
import { ensureBuild, ensurePackages } from './setup.mjs';
import { startServer } from './start.mjs';

ensurePackages();
ensureBuild();
const { child, address } = await startServer({ demo: true });
process.stdout.write(
  `\nMesa Drift is open with the demo shop at\n\n    ${address}\n\nStop it with Ctrl C.\n`,
);
const end = () => child.kill();
process.on('SIGINT', end);
process.on('SIGTERM', end);
child.on('exit', (code) => process.exit(code ?? 0));
