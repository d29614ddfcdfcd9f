import type { Response } from 'express';
import { breathe } from '../db/tx';

/** A list longer than this is written a part at a time; so many of its things at once. */
const AT_ONCE = 150;

/** Writes a value as JSON.stringify would, letting others have their turn within the long lists that it holds itself. */
async function piecesOf(value: unknown): Promise<string[]> {
  const isPlain =
    typeof value === 'object' && value !== null && !Array.isArray(value) && !('toJSON' in value);
  const isLong = (each: unknown): each is unknown[] => Array.isArray(each) && each.length > AT_ONCE;
  if (!isPlain || !Object.values(value).some(isLong)) return [JSON.stringify(value) ?? 'null'];
  const pieces: string[] = [];
  let lead = '{';
  for (const [key, each] of Object.entries(value)) {
    if (each === undefined) continue;
    pieces.push(`${lead}${JSON.stringify(key)}:`);
    lead = ',';
    if (!isLong(each)) {
      pieces.push(JSON.stringify(each));
      continue;
    }
    for (let i = 0; i < each.length; i += AT_ONCE) {
      const some = JSON.stringify(each.slice(i, i + AT_ONCE));
      pieces.push(i === 0 ? '[' : ',', some.slice(1, -1));
      await breathe();
    }
    pieces.push(']');
  }
  pieces.push('}');
  return pieces;
}

/** Sends an answer as JSON; a large one holds up nobody while it is written. */
export async function sendJson(response: Response, answer: unknown): Promise<void> {
  const pieces = await piecesOf(answer);
  if (response.destroyed) return;
  response.type('application/json').send(Buffer.concat(pieces.map((piece) => Buffer.from(piece))));
}
