/** Whole cuts are safe from here with a 3 minute rest, °C. USDA FSIS safe minimum internal temperature chart; from memory. */
export const SAFE_C = 63;
/** Food is held hot from here up, °C. US FDA Food Code; from memory. */
export const HELD_HOT_C = 60;
