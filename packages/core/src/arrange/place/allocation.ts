import type { Spot } from '../../stash/spot';
import type { LeftOut } from './choice';

export interface AllocateOptions<T> {
  /** The groups that stand together and grow; families of colour when left out. */
  readonly groupOf?: (item: T) => string;
  /** How fast each group grows; without it a group's size stands for its growth. */
  readonly growth?: ReadonlyMap<string, number>;
  /** How far things may stand from their order inside a group so that fewer are lifted: 0 in order, 1 anywhere in their group. */
  readonly near?: number;
  /** Groups begin in a row or column of their own, or in a unit of their own, wherever there is room for that. */
  readonly begin?: 'line' | 'unit';
}

/** A group that goes on in another unit. */
export interface Continued {
  readonly group: string;
  readonly from: string;
  readonly to: string;
}

export interface Allocation<T> {
  /** For each unit its things by cell, null where one stays open; where things share it, in their order. */
  readonly units: readonly {
    readonly unit: { readonly id: string };
    readonly slots: readonly (T | null)[];
  }[];
  /** Where each thing goes; what is not in it finds no place. */
  readonly spots: ReadonlyMap<string, Spot>;
  /** Open cells kept for a group to grow into: unit id → cell → group. */
  readonly held: ReadonlyMap<string, ReadonlyMap<number, string>>;
  readonly continues: readonly Continued[];
  readonly leftOver: readonly LeftOut<T>[];
}
