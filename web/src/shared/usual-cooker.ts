import { DEFAULT_COOKER, type Cooker } from '@hervir/core';
import { t } from '../language/t';

/** What a kitchen without a cooker of its own is reckoned with, called as its reader would. */
export const usualCooker = (): Cooker => ({ ...DEFAULT_COOKER, name: t('cooker-sets.electric-pot') });
