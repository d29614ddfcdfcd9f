import { formFor, formOf, sayLeft, type Held } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';

/** One line under the name: "full pad · Maker · Range 418". */
export const sayWhat = (supply: SupplyView): string => {
  const ranged = [supply.range, supply.code].filter(Boolean).join(' ');
  return [formOf(supply.kind, supply.form).name, supply.maker, ranged].filter(Boolean).join(' · ');
};

export const sayStock = (supply: SupplyView): string => sayLeft(supply.stock, formFor(supply));

/** What a rack is called: "B Pad rack". */
export const unitTitle = ({ label, name }: Pick<UnitView, 'label' | 'name'>): string =>
  `${label} ${name}`.trim();

/** What keeps some of a supply back, as it is named. */
export const sayHolder = ({ what, name }: Pick<Held, 'what' | 'name'>): string =>
  what === 'kit' ? `the kit ${name}` : name;
