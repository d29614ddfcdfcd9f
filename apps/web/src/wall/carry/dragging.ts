/** Whether something is being dragged: then the finger moves that, and not the room under it. */
export const dragging = { now: false };
