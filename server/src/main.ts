import 'reflect-metadata';
import { toString } from 'qrcode';
import { HELP, readConfig, StartError } from './config';
import { VERSION } from './version';

async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  if (asked.includes('--help') || asked.includes('-h')) {
    process.stdout.write(HELP);
    return;
  }
  if (asked.includes('--version')) {
    process.stdout.write(`${VERSION}\n`);
    return;
  }
  const config = readConfig(process.argv.slice(2), process.env);
  // Read only now: the whole application is a second of a processor, and whoever asks for help, or for another port, needs none.
  const { start } = await import('./application.js');
  const running = await start(config);
  process.stdout.write(`Hervir is at ${running.address}${config.demo ? '  (demo kitchen)' : ''}\n`);
  const { addresses, code } = running.house;
  const [phone] = addresses;
  if (phone !== undefined) {
    process.stdout.write(`A phone in this house opens ${addresses.join(' or ')}, and gives the code ${code} once.\n`);
    process.stdout.write(
      'Its browser will warn that it does not know the certificate: it was made here, on this machine.\n',
    );
    process.stdout.write(await toString(`${phone}/pair`, { type: 'terminal', small: true }));
  }
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
