/** How the material goes round, as a term file writes it. */
export const APPROACHES = ['piece', 'outline', 'sides', 'whole'] as const;
