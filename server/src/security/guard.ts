import type { NextFunction, Request, RequestHandler, Response } from 'express';
import helmet from 'helmet';
import type { Config } from '../config';
import { say } from '@hervir/language';

/** The hostname of a Host header, without its port. */
function hostname(host: string): string {
  const bracketed = /^\[[0-9a-f:]+\]/i.exec(host);
  return bracketed ? bracketed[0].toLowerCase() : (host.split(':')[0] ?? '').toLowerCase();
}

/**
 * Refuses requests that a page elsewhere could cause: a Host that is not ours (a name pointed at loopback), or an Origin
 * that is not the page we served.
 */
export function ownHostOnly(config: Pick<Config, 'host' | 'extraHosts'>): RequestHandler {
  const known = new Set(['localhost', '127.0.0.1', '[::1]', ...config.extraHosts.map((host) => host.toLowerCase())]);
  if (config.host !== '0.0.0.0' && config.host !== '::') known.add(config.host.toLowerCase());
  return (request: Request, response: Response, next: NextFunction): void => {
    const host = request.headers.host ?? '';
    const { origin } = request.headers;
    // A zero byte ends a text for the database and not for us: no id and no page has one.
    if (/%00/i.test(request.url)) {
      response.status(400).json({
        faults: [
          { path: 'address', problem: say('guard.has-a-zero-byte-in'), allowed: say('guard.an-address-without') },
        ],
      });
      return;
    }
    const ownOrigin = origin === undefined || origin === `http://${host}` || origin === `https://${host}`;
    if (known.has(hostname(host)) && ownOrigin) {
      next();
      return;
    }
    response.status(403).json({
      faults: [
        {
          path: known.has(hostname(host)) ? 'Origin' : 'Host',
          problem: say('guard.is-not-this-kitchen'),
          allowed: say('guard.the-address-hervir-printed-when'),
        },
      ],
    });
  };
}

/** Headers of every answer: nothing from outside, nothing framed, scripts only our own files. */
export function headers(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'worker-src': ["'self'"],
        // The component library writes its styles into the page as it runs; they come from our own bundle.
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'object-src': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
      },
    },
    crossOriginEmbedderPolicy: false,
    // Plain http on loopback: promising https would lock the cook out.
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
}
