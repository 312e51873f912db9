import type { RouteStyle } from '@frank-gauge/core/improve';

/** A way of routing ducts as a list of suggestions calls it. */
export const ROUTE_NAMES: Readonly<Record<RouteStyle, string>> = {
  shortest: 'Least duct',
  walls: 'Along the walls',
  main: 'One straight main',
};
