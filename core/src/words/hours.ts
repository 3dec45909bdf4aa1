import { say, type Text } from '@hervir/language/message';
const hours = (h: number): Text =>
  h < 1 ? say('hours.min', { h: Math.round(h * 60) }) : `${Math.round(h * 10) / 10} h`;

/** Hours as cooks say them: minutes below one, whole ones from ten, days from two on. */
export const inHours = (h: number): Text =>
  h >= 48 ? say('hours.days', { h: Math.round(h / 2.4) / 10 }) : hours(h < 10 ? h : Math.round(h));

/** How long before: "12 h before the sear"; the day before where nobody says. */
export const saltedFor = (minutes: number | null): Text =>
  minutes === null ? say('hours.the-day-before') : say('hours.before-the-sear', { hours: hours(minutes / 60) });
