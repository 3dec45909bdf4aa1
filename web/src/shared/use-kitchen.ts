import type { Settings, StoredCooker } from '@hervir/contract';
import { useCookers, useSettings } from '../api/queries';

/** Cookers and settings together: most rooms need both before they can reckon. */
export function useKitchen():
  | {
      readonly cookers: StoredCooker[];
      readonly settings: Settings;
    }
  | { readonly error: Error; readonly again: () => void }
  | null {
  const cookers = useCookers();
  const settings = useSettings();
  const error = cookers.error ?? settings.error;
  if (error) return { error, again: () => void Promise.all([cookers.refetch(), settings.refetch()]) };
  if (!cookers.data || !settings.data) return null;
  return { cookers: cookers.data, settings: settings.data };
}
