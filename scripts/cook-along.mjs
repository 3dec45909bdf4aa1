// Cooks a plan of a running server step by step, with its clock in hand: for pictures of the room At the pot.
import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';

/** The built reckoning: asked for when it is used, for this file is read before anything is built. */
const core = () => createRequire(import.meta.url)('../core/dist/index.js');
const MINUTE = 60_000;

async function ask(address, method, path, body) {
  const response = await fetch(`${address}/api${path}`, {
    method,
    ...(body ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {}),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${await response.text()}`);
  return response.json();
}

/** Begins a cook on time and returns a hand that presses every step as it comes due. */
export async function cookAlong(address, setClock, braiseId) {
  const { cookState, forecast } = core();
  const { plan } = await ask(address, 'GET', `/braises/${braiseId}`);
  let at = Date.parse(forecast(plan).clock.startAt);
  setClock(at);
  const { id, guide, events } = await ask(address, 'POST', '/cooks', {
    id: randomUUID(),
    startedEventId: randomUUID(),
    braiseId,
  });
  const told = [...events];
  const tell = async (kind, payload) => {
    setClock(at + 1000);
    const event = { id: randomUUID(), kind, at: new Date(at).toISOString(), payload };
    told.push(event);
    await ask(address, 'POST', `/cooks/${id}/events`, { events: [event] });
  };
  return {
    id,
    /** Presses on until a step has its turn; some steps take longer than planned, minutes by id. */
    async until(step, late = {}) {
      for (let guard = 0; guard < 200; guard += 1) {
        const { now, tracks } = cookState(guide, told, at);
        if (!now || now.step.id === step) return;
        const due = (now.startedAt ?? at) + (now.minutes + (late[now.step.id] ?? 0)) * MINUTE;
        at = Math.max(at, now.step.runsFrom === null ? due : at);
        for (const { now: side, dueAt } of tracks) {
          if (side && dueAt !== null && dueAt <= at) await tell('stepStarted', { step: side.step.id });
        }
        if (now.step.endsByItself) continue;
        await tell(now.step.done, {
          step: now.step.id,
          ...(now.step.done === 'checked' ? { grade: guide.wanted } : {}),
        });
      }
    },
    /** Lets time pass with nothing pressed. */
    wait(minutes) {
      at += minutes * MINUTE;
      setClock(at);
    },
  };
}
