import { z } from '../../kit/schema';

/** What one signs in with; whether it is right only the server knows. */
export const signed = z.object({ email: z.string().trim().min(1), password: z.string().min(1) });
