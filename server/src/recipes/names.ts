import type { Language, Text } from '@hervir/language';
import { speaking } from '../language/speech';

/** Names of the catalog in one language, apart by a bar. */
export const namesIn = (language: Language, names: Text): string => speaking(language, 'metric').text(names);
