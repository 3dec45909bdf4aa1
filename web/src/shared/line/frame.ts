/** The lanes above the curve, top to bottom. */
export const LANES = ['board', 'hands', 'pot', 'side-burner'] as const;
export type Lane = (typeof LANES)[number];

/** px: what lies around the curve. */
export const LEFT = 58;
export const RIGHT = 14;
export const LANE_HEIGHT = 21;
export const AXIS = 21;

/** How wide the time axis of a drawing is, px. */
export const axisWidth = (width: number): number => Math.max(0, width - RIGHT - LEFT);
