/** What stands on the floor: a machine by its id, or the collector. */
export const COLLECTOR = 'collector-place';
