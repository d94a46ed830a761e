/** A colour of the theme, for what is drawn on a canvas, which knows no names of the page's. */
export const themeColour = (
  name: 'graphite' | 'halo' | 'hatch' | 'line' | 'moss' | 'pencil' | 'soft',
): string => getComputedStyle(document.documentElement).getPropertyValue(`--color-${name}`).trim();
