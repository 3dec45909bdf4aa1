import dayjs from 'dayjs';

/** What a supper is, HH:MM, until the cook says otherwise. */
export const USUAL_TIME = '19:00';
/** Later than this in the day an ordinary braise is not on the table at seven, h. */
const LATEST_BEGIN = 16.5;

/** The day of the next supper that can still be made, YYYY-MM-DD. */
export function usualDay(now: Date): string {
  const tooLate = now.getHours() + now.getMinutes() / 60 >= LATEST_BEGIN;
  return dayjs(now)
    .add(tooLate ? 1 : 0, 'day')
    .format('YYYY-MM-DD');
}
