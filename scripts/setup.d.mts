export function run(command: string, args: readonly string[], options?: object): void;
export function ensurePackages(): void;
export function ensureSystemTools(): void;
export function ensureBuild(): void;
