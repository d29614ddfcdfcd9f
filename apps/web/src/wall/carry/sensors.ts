import { MouseSensor, TouchSensor } from '@dnd-kit/core';

const isThing = ({ target }: Event): boolean =>
  target instanceof Element && target.closest('[data-thing]') !== null;

/** A mouse takes hold of things only: what begins beside them moves the room, and costs nothing here. */
export class ThingMouse extends MouseSensor {
  static override activators = MouseSensor.activators.map(({ eventName, handler }) => ({
    eventName,
    handler: (...[event, ...rest]: Parameters<typeof handler>) =>
      isThing(event.nativeEvent) && handler(event, ...rest),
  }));
}

/** A finger, the same. */
export class ThingTouch extends TouchSensor {
  static override activators = TouchSensor.activators.map(({ eventName, handler }) => ({
    eventName,
    handler: (...[event, ...rest]: Parameters<typeof handler>) =>
      isThing(event.nativeEvent) && handler(event, ...rest),
  }));
}
