/** The words of a student's page. Without a network they are there from the last visit. */
export const WORDS = ['cards', 'mine', 'practice', 'recall', 'students', 'support', 'supportSeen', 'time', 'told'] as const;
