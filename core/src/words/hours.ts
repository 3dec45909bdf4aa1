const hours = (h: number): string => (h < 1 ? `${Math.round(h * 60)} min` : `${Math.round(h * 10) / 10} h`);

/** Hours as cooks say them: minutes below one, whole ones from ten, days from two on. */
export const inHours = (h: number): string =>
  h >= 48 ? `${Math.round(h / 2.4) / 10} days` : hours(h < 10 ? h : Math.round(h));

/** How long before: "12 h before the sear"; the day before where nobody says. */
export const SALT_WORDS = (minutes: number | null): string =>
  minutes === null ? 'The day before' : `${hours(minutes / 60)} before the sear`;
