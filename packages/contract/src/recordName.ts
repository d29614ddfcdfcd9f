import type { RecordBody } from './records';

/** What a record is called in messages. */
export function nameOfRecord(body: RecordBody): string {
  switch (body.sort) {
    case 'preferences':
      return 'Preferences';
    case 'need':
      return `${body.what} for ${body.where}`;
    case 'done':
      return 'What was dealt with';
    case 'wish':
      return `${body.name} on the shopping list`;
    case 'hush':
      return 'That question';
    case 'challenge':
      return `Only ${body.unitName}`;
    default:
      return body.name;
  }
}
