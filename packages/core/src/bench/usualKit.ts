import { findForm } from '../kinds/registry';
import type { Supply } from '../stash/supply';
import { inStash } from '../stash/standing';
import { fold } from '../text/fold';

/** What is usually at hand with a medium, besides what is of its colour. */
export const KIT_TOOLS = [
  'stamp',
  'block',
  'ribbon scissors',
  'trimmer',
  'die machine',
  'heat tool',
  'guard sheet',
  'solvent',
  'adhesive',
] as const;
export type KitTool = (typeof KIT_TOOLS)[number];

type Thing = Pick<Supply, 'kind' | 'form' | 'name' | 'facts'>;

const isOf =
  (kind: Supply['kind'], ...forms: readonly string[]) =>
  (thing: Thing): boolean =>
    thing.kind === kind && (forms.length === 0 || forms.includes(thing.form));
const isForm = (...forms: readonly string[]) => isOf('companion', ...forms);

/** The usual kit of each medium; by the trade's custom, not by any maker. */
const KITS: readonly { readonly of: (thing: Thing) => boolean; readonly tools: readonly KitTool[] }[] = [
  { of: isOf('ink', 'full-pad', 'wide-pad', 'mini-pad'), tools: ['stamp', 'block'] },
  { of: isOf('marker', 'alcohol-dual'), tools: ['guard sheet'] },
  { of: isOf('marker', 'pencil'), tools: ['solvent'] },
  { of: isOf('cardstock', 'sheet-12', 'sheet-letter', 'sheet-a4', 'pad-6'), tools: ['trimmer', 'adhesive'] },
  { of: isOf('ribbon'), tools: ['ribbon scissors'] },
  { of: isForm('die'), tools: ['die machine'] },
  { of: isForm('powder'), tools: ['heat tool'] },
  { of: isForm('foil'), tools: ['heat tool'] },
  { of: isForm('stencil'), tools: ['adhesive'] },
];

/** Words by which a thing is known to be such a tool; whole words of its name. */
const CALLED: Readonly<Record<KitTool, RegExp>> = {
  stamp: /\bstamps?\b/,
  block: /\b(acrylic|stamping) block|\bblock\b/,
  'ribbon scissors': /\b(scissors|shears|snips)\b/,
  trimmer: /\b(trimmer|guillotine|paper cutter)\b/,
  'die machine': /\b(die|cutting|embossing) machine\b/,
  'heat tool': /\bheat (tool|gun)\b|\blaminator\b/,
  'guard sheet': /\b(guard|blotting|backing) sheet\b/,
  solvent: /\b(solvent|spirit|blender|blending fluid)\b/,
  adhesive: /\b(glue|adhesive|tape|tacky|dots)\b/,
};

const isTool = (tool: KitTool, thing: Thing): boolean =>
  (tool === 'stamp' && isForm('stamp')(thing)) ||
  (thing.kind === 'companion' && CALLED[tool].test(fold(thing.name)));

/** A tool that is usual with something of a job. */
export interface KitNeed<S> {
  readonly tool: KitTool;
  /** What it is usual with. */
  readonly of: S;
  /** What of the stash it would be; null where none is known. */
  readonly owned: S | null;
}

/**
 * What is missing of the usual kit of everything a job uses, each tool once; `known` are tools a person has and does not list.
 * Linear in the stash, times the tools that are usual with it.
 */
export function usualKit<S extends Thing & { readonly id: string }>(
  members: readonly S[],
  supplies: readonly S[],
  known: ReadonlySet<KitTool>,
): KitNeed<S>[] {
  const wanted = new Map<KitTool, S>();
  for (const member of members)
    for (const { of, tools } of KITS)
      if (findForm(member.kind, member.form) && of(member))
        for (const tool of tools) if (!wanted.has(tool)) wanted.set(tool, member);
  return [...wanted].flatMap(([tool, of]): KitNeed<S>[] => {
    if (members.some((each) => isTool(tool, each))) return [];
    const owned = supplies.find((each) => inStash(each) && isTool(tool, each)) ?? null;
    return owned || !known.has(tool) ? [{ tool, of, owned }] : [];
  });
}
