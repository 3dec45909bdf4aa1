import { parseArgs } from 'node:util';
import { houseAddresses } from './lan/certificate';

/** How this server was asked to run. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly dataFolder: string;
  /** Serves the demo kitchen: filled when empty, and its data can be put back. */
  readonly demo: boolean;
  /** Hostnames a browser may use besides loopback. */
  readonly extraHosts: readonly string[];
  /** Where the house's network may come in, over TLS; null unless asked for. */
  readonly lan: { readonly hosts: readonly string[]; readonly port: number } | null;
}

/** Something the person who started the server can mend. Printed as one line. */
export class StartError extends Error {}

const DEFAULT_PORT = 4780;

/** What `--help` says. */
export const HELP = `Hervir: braising tough cuts under pressure.

npm start -- [flags]

  --port <n>          where it listens on this machine (4780; HERVIR_PORT)
  --data <folder>     where everything is kept (data; HERVIR_DATA)
  --host <address>    listens on another address of this machine (127.0.0.1; HERVIR_HOST)
  --allow-host <name> names a browser may use besides, commas between (HERVIR_ALLOW_HOST)
  --lan               lets paired phones of the house in, over TLS
  --lan-port <n>      where (the port after the other)
  --lan-host <addr>   at which of this machine's addresses (all of the house's)
  --demo              a demo kitchen: filled when empty, and can be put back
  --version, --help

Flags come before the environment. HERVIR_LOG sets how much is written down: silent, error, warn, info, debug (warn).
What is kept, how to update, and how to go back: docs/running.md
`;

function portOf(flag: string, text: string): number {
  const port = Number(text);
  if (!/^\d+$/.test(text) || port > 65_535) throw new StartError(`--${flag} ${text} is no port; allowed: 0 to 65535.`);
  return port;
}

/** An address that stands for all of a machine's. */
const isEverywhere = (host: string): boolean => /^(0+(\.0+)*|\[?(::|0+(:0+)+)\]?|::ffff:0+(\.0+)*|\*?)$/i.test(host);

function lanOf(host: string | undefined, port: string | undefined, beside: number): NonNullable<Config['lan']> {
  const hosts = host === undefined ? houseAddresses() : [host];
  if (hosts.length === 0) {
    throw new StartError('--lan found no address of this machine in the house’s network: name one with --lan-host.');
  }
  return { hosts, port: port === undefined ? (beside === 0 ? 0 : beside + 1) : portOf('lan-port', port) };
}

/**
 * Reads flags before environment before defaults: `--port` or HERVIR_PORT, `--data` or HERVIR_DATA, `--host` or
 * HERVIR_HOST, `--allow-host` or HERVIR_ALLOW_HOST (comma between), `--demo`. `--lan` lets the house's network in, at
 * `--lan-port` (the port after the other) of `--lan-host` (this machine's addresses in the house).
 *
 * @throws StartError naming the flag and what is allowed
 */
export function readConfig(argv: readonly string[], env: NodeJS.ProcessEnv): Config {
  let values: Partial<Record<'port' | 'data' | 'host' | 'allow-host' | 'lan-port' | 'lan-host', string>> & {
    demo?: boolean;
    lan?: boolean;
  };
  try {
    ({ values } = parseArgs({
      args: [...argv],
      options: {
        port: { type: 'string' },
        data: { type: 'string' },
        host: { type: 'string' },
        'allow-host': { type: 'string' },
        demo: { type: 'boolean' },
        lan: { type: 'boolean' },
        'lan-port': { type: 'string' },
        'lan-host': { type: 'string' },
      },
    }));
  } catch (error) {
    throw new StartError(
      `${(error as Error).message} Allowed: --port, --data, --host, --allow-host, --demo, --lan, --lan-port, --lan-host.`,
    );
  }
  const host = values.host ?? env['HERVIR_HOST'] ?? '127.0.0.1';
  if (values.lan !== true && isEverywhere(host)) {
    throw new StartError(
      `--host ${host} would let everybody in the network in, without a code and unencrypted; allowed: an address of this machine, or --lan, which lets paired phones in.`,
    );
  }
  const port = portOf('port', values.port ?? env['HERVIR_PORT'] ?? String(DEFAULT_PORT));
  return {
    host,
    port,
    dataFolder: values.data ?? env['HERVIR_DATA'] ?? 'data',
    demo: values.demo ?? false,
    extraHosts: (values['allow-host'] ?? env['HERVIR_ALLOW_HOST'] ?? '')
      .split(',')
      .map((host) => host.trim())
      .filter((host) => host !== ''),
    lan: values.lan === true ? lanOf(values['lan-host'], values['lan-port'], port) : null,
  };
}
