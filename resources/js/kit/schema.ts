import { z } from 'zod';

// Checks are walked and not compiled: nothing here may make code out of text.
z.config({ jitless: true });

export { z };
