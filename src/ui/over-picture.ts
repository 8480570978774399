/**
 * Colours of what is drawn over a photograph: the same by day and by night, each on a light edge, because
 * nobody knows what lies under it.
 */
export const OVER_PICTURE = {
  paper: "#fdf8ee",
  ink: "#1d2a2c",
  vermilion: "#d8401f",
  moss: "#4c7437",
  blue: "#3c6c94",
} as const;
