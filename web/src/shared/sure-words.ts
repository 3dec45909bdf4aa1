import { t } from '../language/t';
/** So sure a cook may want to be. */
export const SURE: readonly number[] = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95];

/** How sure, as it is chosen: "8 in 10", and where tens are too coarse "19 in 20". */
export const sureWords = (share: number): string =>
  share === 0.95 ? t('odds.19-in-20') : t('shared.in-10', { share: Math.round(share * 100) / 10 });
