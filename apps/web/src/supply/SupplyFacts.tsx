import {
  attributesOf,
  bodyOf,
  familyOf,
  formOf,
  freeOf,
  leftInAll,
  hasColour,
  inStash,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { StyleSheet, View } from 'react-native';
import { hasPlace } from '../api/contents';
import { usePreferences } from '../api/queries';
import { useHeld } from '../api/useHeld';
import { sayLastUsed } from '../copy/history';
import { sayParts } from '../copy/parts';
import { sayHolder, sayStock, sayWhat } from '../copy/supply';
import { DOES } from '../copy/reasons';
import { listOf } from '../copy/words';
import { sayAttribute, sayLength, sayAboutMass, sayPrice, type Units } from '../copy/measure';
import { colour, space } from '../theme/tokens';
import { Flag } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { FamilyAsk } from '../form/FamilyAsk';
import { Lots } from './Lots';
import { PlaceOffers } from './PlaceOffers';
import { useSupplyChange } from '../api/useSupplyChange';
import { windingLines } from './winding';

interface FactsProps {
  readonly supply: SupplyView;
}

/** What it is, and where. */
export function WhatAndWhere({ supply, address }: FactsProps & { readonly address: string | null }) {
  return (
    <View style={styles.facts}>
      <Txt look="page" level={1}>
        {supply.name}
      </Txt>
      <Txt look="quiet">
        {/* The short number is the server's to give. */}
        {[sayWhat(supply), ...(supply.number > 0 ? [`no. ${supply.number}`] : [])].join(' · ')}
      </Txt>
      <Lots supply={supply} address={address} />
      {inStash(supply) && !hasPlace(supply) && <PlaceOffers supply={supply} />}
    </View>
  );
}

/** How much is left of it, and for whom it is put aside. */
export function HowMuch({ supply }: FactsProps) {
  const { preferences } = usePreferences();
  const parts = sayParts(supply);
  const held = useHeld(supply.id);
  const { counting } = formOf(supply.kind, supply.form);
  const said = (amount: number): string =>
    counting === 'length' ? sayLength(amount, preferences.units) : String(amount);
  return (
    <View style={styles.facts}>
      <Standing supply={supply} />
      <Txt>
        <Txt look="number">{sayStock(supply)}</Txt> · {sayLastUsed(supply)}
      </Txt>
      {parts && <Txt>{parts}</Txt>}
      {held.length > 0 && (
        <Txt>
          {held.map((each) => `${said(each.amount)} put aside for ${sayHolder(each)}`).join(', ')};{' '}
          <Txt look="number">{said(freeOf(leftInAll(supply), held))} free</Txt>
        </Txt>
      )}
      {supply.facts.dormant && (
        <Txt>
          Asleep: it was for {supply.facts.dormant.purpose}. To look at again on{' '}
          {day(supply.facts.dormant.wakeOn)}.
        </Txt>
      )}
    </View>
  );
}

/** Which colour it is, and what else is known of it. */
export function ColourAndMore({ supply }: FactsProps) {
  const { preferences } = usePreferences();
  return (
    <View style={styles.facts}>
      <FamilyLine supply={supply} />
      <Details supply={supply} units={preferences.units} />
      {supply.note !== '' && <Txt>{supply.note}</Txt>}
    </View>
  );
}

const day = (date: string): string => format(parseISO(date), 'd MMM yyyy');

/** Its standing, grade and tags, where they say something. */
function Standing({ supply: { facts } }: { readonly supply: SupplyView }) {
  const flags = [
    facts.status && facts.status !== 'current'
      ? `${facts.status}${facts.status === 'trial' && facts.decideOn ? ` until ${day(facts.decideOn)}` : ''}`
      : null,
    facts.grade ?? null,
    facts.collection ? 'collection, leave in peace' : null,
    facts.stays ? 'left where it is when things are arranged' : null,
    ...(facts.tags ?? []),
  ].flatMap((flag) => flag ?? []);
  if (flags.length === 0) return null;
  return (
    <View style={styles.flags}>
      {flags.map((flag) => (
        <Flag key={flag} label={flag} />
      ))}
    </View>
  );
}

function FamilyLine({ supply }: { readonly supply: SupplyView }) {
  return hasColour(supply) ? <ColourLine supply={supply} /> : <Txt look="quiet">no colour</Txt>;
}

function ColourLine({ supply }: { readonly supply: SupplyView }) {
  const opinion = familyOf(supply.hex, supply.finish);
  const file = useSupplyChange(supply);
  const family = supply.familyOverride
    ? `${supply.familyOverride}, by your word${supply.familyReason ? `: ${supply.familyReason}` : ''}`
    : `${supply.family} (${Math.round(opinion.confidence * 100)}% sure, else ${opinion.runnerUp})`;
  return (
    <>
      <Txt look="quiet">
        {supply.hex}
        {supply.finish === 'matte' ? '' : ` · ${supply.finish}`} · {family}
      </Txt>
      <FamilyAsk
        hex={supply.hex}
        finish={supply.finish}
        override={supply.familyOverride}
        onChoose={(familyOverride, familyReason) => file.mutate({ familyOverride, familyReason })}
      />
    </>
  );
}

/** How it wants to be kept, and what to mind about it. */
function keepingLines(supply: SupplyView, units: Units): (readonly [string, string])[] {
  const { orientation, traits = [], avoid = [] } = formOf(supply.kind, supply.form);
  const mass = supply.holdings.reduce((sum, lot) => sum + bodyOf(supply, lot).massMg, 0);
  return [
    ...(mass > 0 ? [['Weighs', `about ${sayAboutMass(mass, units)} in all`] as const] : []),
    ...(orientation && orientation.wants !== 'any'
      ? [['Kept', `${orientation.wants}. ${orientation.because}`] as const]
      : []),
    ...(traits.length > 0 ? [['Mind that it', listOf(traits.map((trait) => DOES[trait]))] as const] : []),
    ...(avoid.length > 0
      ? [['Not beside', `anything that ${avoid.map((trait) => DOES[trait]).join(' or ')}`] as const]
      : []),
  ];
}

/** Attributes and the rest of the facts, one line each. */
function Details({ supply, units }: { readonly supply: SupplyView; readonly units: Units }) {
  const { facts, kind, form } = supply;
  const { size } = facts;
  const attributes = attributesOf(kind, form).flatMap((attribute) => {
    const said = sayAttribute(attribute, facts.attributes?.[attribute.id], units);
    return said === null ? [] : [[attribute.name, said] as const];
  });
  const lines: (readonly [string, string])[] = [
    ...attributes,
    ...(size
      ? [
          [
            'Outside',
            [size.widthUm, size.heightUm, size.depthUm].map((um) => sayLength(um, units)).join(' × '),
          ] as const,
        ]
      : []),
    ...(facts.spares === undefined ? [] : [['Spares meant', String(facts.spares)] as const]),
    ...(facts.price ? [['Price', sayPrice(facts.price)] as const] : []),
    ...(facts.source ? [['From', facts.source] as const] : []),
    ...(facts.acquiredOn ? [['Acquired', day(facts.acquiredOn)] as const] : []),
    ...(facts.openedOn ? [['Opened', day(facts.openedOn)] as const] : []),
    ...(facts.barcode ? [['Barcode', facts.barcode] as const] : []),
    ...windingLines(supply, units),
    ...keepingLines(supply, units),
  ];
  return (
    <View>
      {lines.map(([name, value]) => (
        <View key={name} style={styles.line}>
          <Txt look="quiet" style={styles.name}>
            {name}
          </Txt>
          <Txt look="quiet" style={styles.value}>
            {value}
          </Txt>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  facts: { gap: 6 },
  flags: { flexDirection: 'row', flexWrap: 'wrap', gap: space.xs },
  line: { flexDirection: 'row', gap: space.s },
  name: { width: 110 },
  value: { flex: 1, color: colour.text },
});
