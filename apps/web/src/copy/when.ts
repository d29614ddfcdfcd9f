import { differenceInYears } from 'date-fns/differenceInYears';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';

const month = (day: string): string => format(parseISO(day), 'MMM yyyy');

/** Farther away a date says no more than that nobody knows. */
const FAR_YEARS = 8;

/** "about Mar 2027 (Jan 2027 to Aug 2027)", "about May 2028, hardly before Jan 2027"; days as ISO. */
export function sayAbout(
  { low, median, high }: { readonly low: string; readonly median: string; readonly high: string },
  now = new Date(),
): string {
  const far = differenceInYears(parseISO(high), now) >= FAR_YEARS;
  const range = far ? `, hardly before ${month(low)}` : ` (${month(low)} to ${month(high)})`;
  return `about ${month(median)}${range}`;
}
