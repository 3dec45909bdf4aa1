import type { QuantityKind, UnitSystem } from '@hervir/language';
import { useCallback } from 'react';
import { useSettings } from '../api/queries';
import { printed } from '../language/t';

/** The cook's units, and how to print in them. */
export function useUnits(): { system: UnitSystem; print: (kind: QuantityKind, value: number) => string } {
  const system = useSettings().data?.units ?? 'metric';
  const print = useCallback((kind: QuantityKind, value: number) => printed(kind, value, system), [system]);
  return { system, print };
}
