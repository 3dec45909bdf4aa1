/** Hours as cooks say them: minutes below one, days from two on. */
export const inHours = (h: number): string =>
  h >= 48
    ? `${Math.round(h / 2.4) / 10} days`
    : h < 1
      ? `${Math.round(h * 60)} min`
      : `${h < 10 ? Math.round(h * 10) / 10 : Math.round(h)} h`;

const hours = (h: number): string => (h < 1 ? `${Math.round(h * 60)} min` : `${Math.round(h * 10) / 10} h`);

/** How long before: "12 h before the sear"; the day before where nobody says. */
export const SALT_WORDS = (minutes: number | null): string =>
  minutes === null ? 'The day before' : `${hours(minutes / 60)} before the sear`;
