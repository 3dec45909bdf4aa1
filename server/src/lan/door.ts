import { languageOf, speaking } from '../language/speech';
import { TLSSocket } from 'node:tls';
import { ForbiddenException } from '@nestjs/common';
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import type { Pairing } from './pairing';
import { say, type Text } from '@hervir/language';

const COOKIE = 'hervir_device';
const YEAR_S = 365 * 86_400;

/** Came over the house's network, not from this machine: only that way is encrypted. */
export const fromTheHouse = (request: Request): boolean => request.socket instanceof TLSSocket;

/**
 * What is for the machine that Hervir runs on alone: a paired phone may cook, and not carry the kitchen away.
 *
 * @throws ForbiddenException for what comes over the house's network
 */
export function onThisMachineOnly(request: Request): void {
  if (!fromTheHouse(request)) return;
  throw new ForbiddenException({
    faults: [
      { path: '', problem: say('door.is-for-this-machine-only'), allowed: say('door.the-machine-hervir-runs-on') },
    ],
  });
}

function tokenOf(request: Request): string | undefined {
  return new RegExp(`(?:^|;\\s*)${COOKIE}=([0-9a-f]{64})(?:;|$)`).exec(request.headers.cookie ?? '')?.[1];
}

/** The only page an unknown device gets: no script, nothing of the kitchen. */
function page(request: Request, said: Text): string {
  const { t, text, locale } = speaking(languageOf(request.headers['accept-language']));
  const alert = said === '' ? '' : `<p role="alert"><strong>${text(said)}</strong></p>`;
  return `<!doctype html><html lang="${locale.slice(0, 2)}"><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${t('door.title')}</title>
<body style="font:18px/1.5 sans-serif;max-width:24em;margin:3em auto;padding:0 1em">
<h1 style="font-size:1.4em">${t('door.pair-this-device')}</h1>
<p>${t('door.type-the-code')}</p>
${alert}
<form method="post" action="/pair"><label>${t('door.code')}<br><input name="code" inputmode="numeric" autocomplete="one-time-code" required maxlength="12" style="font:inherit;font-size:1.6em;width:9em;padding:.3em"></label>
<p><button style="font:inherit;min-height:64px;padding:0 2em">${t('door.pair')}</button></p></form></body></html>`;
}

/** Where a phone finds the certificate that it may be told to trust. */
export const CERTIFICATE_PATH = '/certificate';

/**
 * The door to the house's network: a device that has not been paired gets the page that asks for the code and the
 * certificate it may be told to trust, and nothing else. What comes from this machine itself goes through.
 *
 * @param authority the certificate that vouches for this kitchen's own, PEM; null where there is none
 */
export function door(pairing: Pairing, authority: () => string | null): RequestHandler[] {
  const read = express.urlencoded({ extended: false, limit: 2000 });
  const guard = async (request: Request, response: Response, next: NextFunction): Promise<void> => {
    if (!fromTheHouse(request)) {
      next();
      return;
    }
    if (request.path === CERTIFICATE_PATH) {
      response
        .attachment('hervir-kitchen.crt')
        .type('application/x-x509-ca-cert')
        .send(authority() ?? '');
      return;
    }
    const token = tokenOf(request);
    if (token !== undefined && (await pairing.knows(token))) {
      pairing.hold(token, response);
      next();
      return;
    }
    if (request.path === '/pair') {
      // With no referrer at all a browser sends this form from nowhere (Origin: null), and the guard refuses it.
      response.setHeader('referrer-policy', 'same-origin');
      if (request.method === 'POST') {
        const { code } = (request.body ?? {}) as { code?: unknown };
        const paired = await pairing.pair(
          typeof code === 'string' ? code : '',
          request.headers['user-agent'] ?? '',
          request.socket.remoteAddress ?? '',
        );
        if (typeof paired === 'object') {
          response
            .cookie(COOKIE, paired.token, { httpOnly: true, secure: true, sameSite: 'strict', maxAge: YEAR_S * 1000 })
            .redirect(303, '/');
          return;
        }
        const wait = paired === 'wait';
        response
          .status(wait ? 429 : 403)
          .send(page(request, wait ? say('door.too-many-wrong-codes-wait') : say('door.that-is-not-the-code')));
        return;
      }
      response.send(page(request, ''));
      return;
    }
    if (request.method === 'GET' && !request.path.startsWith('/api/') && request.accepts('html') !== false) {
      response.redirect(303, '/pair');
      return;
    }
    response.status(401).json({
      faults: [
        { path: '', problem: say('door.this-device-is-not-paired'), allowed: say('door.the-code-once-at-pair') },
      ],
    });
  };
  return [
    (request, response, next) =>
      request.path === '/pair' && request.method === 'POST' ? read(request, response, next) : next(),
    (request, response, next) => void guard(request, response, next).catch(next),
  ];
}
