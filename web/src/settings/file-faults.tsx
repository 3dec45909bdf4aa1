import type { ReactNode } from 'react';
import { Refused } from '../api/client';
import { rich, t, textOf } from '../language/t';

const SHOWN = 20;

/** Every fault of a file, line by line. */
export function FileFaults({ error }: { readonly error: Error }): ReactNode {
  const faults = error instanceof Refused ? error.faults : [];
  if (faults.length === 0) return <p role="alert">{error.message}</p>;
  return (
    <ul className="reasons" role="alert">
      {faults.slice(0, SHOWN).map(({ path, problem, allowed }) => (
        <li key={path + textOf(problem)}>
          {rich('settings.allowed', { span: (words) => <span aria-hidden>{words}</span>, path, problem, allowed })}
        </li>
      ))}
      {faults.length > SHOWN && <li>{t('settings.and-more', { count: faults.length - SHOWN })}</li>}
    </ul>
  );
}
