import type { Supply } from '../stash/supply';
import type { Stock } from '../stock/stock';
import type { Family, FamilyGroup } from '../colour/families';
import { FAMILY_GROUP_INFO } from '../colour/families';
import { formOf, KIND_DEFINITIONS } from '../kinds/registry';
import type { Facts } from '../stash/facts';
import { fold } from '../text/fold';
import { searchText, type SearchText } from './match';

/** A supply as searching sees it. */
export type SearchSubject = Omit<Supply, 'familyOverride' | 'familyReason' | 'createdAt'> & {
  readonly family: Family;
  readonly group: FamilyGroup;
  /** Labels of the places it has something in. */
  readonly addresses: readonly string[];
  readonly stock: Pick<Stock, 'state' | 'uses' | 'used' | 'lastUsedAt'>;
  /** Further words it is found by: what its purposes also mean. */
  readonly also?: readonly string[];
  /** Names of the projects and kits that keep some of it back. */
  readonly keptFor?: readonly string[];
};

/** A subject with its texts folded once, for many queries. */
export interface Searchable<T> {
  readonly item: T;
  readonly subject: SearchSubject;
  /** Folded name, code and number; each between spaces. */
  readonly name: SearchText;
  readonly code: string;
  readonly text: SearchText;
}

const attributeWords = ({ attributes = {} }: Facts): string[] =>
  Object.values(attributes).filter((value): value is string => typeof value === 'string');

/** Prepares a thing for searching. */
export function searchable<T>(item: T, subject: SearchSubject): Searchable<T> {
  const { kind, form, facts, addresses } = subject;
  const definition = KIND_DEFINITIONS[kind];
  return {
    item,
    subject,
    name: searchText([subject.name]),
    code: fold(subject.code),
    text: searchText([
      subject.name,
      subject.code,
      subject.maker,
      subject.range,
      FAMILY_GROUP_INFO[subject.group].name,
      subject.family,
      subject.finish === 'matte' ? null : subject.finish,
      definition.name,
      definition.plural,
      formOf(kind, form).name,
      ...addresses,
      ...addresses.map((address) => address.replace('·', '')),
      `no.${subject.number}`,
      facts.barcode,
      facts.source,
      facts.status,
      facts.grade,
      ...(facts.tags ?? []),
      ...(subject.keptFor ?? []),
      ...attributeWords(facts),
      ...(subject.also ?? []),
      subject.note,
    ]),
  };
}
