import 'reflect-metadata';
import { start } from './application';
import { readConfig, StartError } from './config';

async function main(): Promise<void> {
  const config = readConfig(process.argv.slice(2), process.env);
  const running = await start(config);
  process.stdout.write(`Hervir is at ${running.address}${config.demo ? '  (demo kitchen)' : ''}\n`);
  let closing = false;
  const stop = (): void => {
    if (closing) return;
    closing = true;
    void running.close().then(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

main().catch((error: unknown) => {
  process.stderr.write(
    error instanceof StartError ? `${error.message}\n` : `${(error as Error).stack ?? String(error)}\n`,
  );
  process.exit(1);
});
