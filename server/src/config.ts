import { parseArgs } from 'node:util';

/** How this server was asked to run. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly dataFolder: string;
  /** Serves the demo kitchen: filled when empty, and its data can be put back. */
  readonly demo: boolean;
  /** Hostnames a browser may use besides loopback. */
  readonly extraHosts: readonly string[];
}

/** Something the person who started the server can mend. Printed as one line. */
export class StartError extends Error {}

const DEFAULT_PORT = 4780;

/**
 * Reads flags before environment before defaults: `--port` or HERVIR_PORT, `--data` or HERVIR_DATA, `--host` or
 * HERVIR_HOST, `--allow-host` or HERVIR_ALLOW_HOST (comma between), `--demo`.
 *
 * @throws StartError naming the flag and what is allowed
 */
export function readConfig(argv: readonly string[], env: NodeJS.ProcessEnv): Config {
  let values: Partial<Record<'port' | 'data' | 'host' | 'allow-host', string>> & { demo?: boolean };
  try {
    ({ values } = parseArgs({
      args: [...argv],
      options: {
        port: { type: 'string' },
        data: { type: 'string' },
        host: { type: 'string' },
        'allow-host': { type: 'string' },
        demo: { type: 'boolean' },
      },
    }));
  } catch (error) {
    throw new StartError(`${(error as Error).message} Allowed: --port, --data, --host, --allow-host, --demo.`);
  }
  const portText = values.port ?? env['HERVIR_PORT'] ?? String(DEFAULT_PORT);
  const port = Number(portText);
  if (!/^\d+$/.test(portText) || port > 65_535) {
    throw new StartError(`--port ${portText} is no port; allowed: 0 to 65535.`);
  }
  return {
    host: values.host ?? env['HERVIR_HOST'] ?? '127.0.0.1',
    port,
    dataFolder: values.data ?? env['HERVIR_DATA'] ?? 'data',
    demo: values.demo ?? false,
    extraHosts: (values['allow-host'] ?? env['HERVIR_ALLOW_HOST'] ?? '')
      .split(',')
      .map((host) => host.trim())
      .filter((host) => host !== ''),
  };
}
