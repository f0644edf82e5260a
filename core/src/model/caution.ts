/** How every caution ends: it is never a verdict. */
export const DECIDES = 'Local law, the location’s rules and licensed or qualified people decide.';
