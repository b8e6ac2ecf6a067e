import { timeOfDay, z } from '../../kit/schema';

/** What is said of any meeting, one beside the pattern or one that is changed. */
export const meetingFields = z.object({
  at: timeOfDay,
  minutes: z.coerce.number().int().min(10).max(480),
  room: z.string().max(120),
  reason: z.string().max(200),
});
