import * as z from 'zod';

const PreferencesSchema = z.object({
  units: z.enum(['metric', 'imperial']).catch('metric'),
  light: z.enum(['paper', 'dim']).catch('paper'),
  guides: z.boolean().catch(true),
  body: z.boolean().catch(false),
  /** How the picture through the lens is shown. */
  lensBlur: z.boolean().catch(false),
  motionBlur: z.boolean().catch(false),
  sharpTone: z.boolean().catch(false),
  mainsHz: z.literal([50, 60]).catch(50),
});

const KEY = 'gentle-arc-preferences';

function stored(): z.infer<typeof PreferencesSchema> {
  if (typeof localStorage === 'undefined') return PreferencesSchema.parse({});
  try {
    return PreferencesSchema.parse(JSON.parse(localStorage.getItem(KEY) ?? '{}'));
  } catch (error) {
    if (error instanceof SyntaxError) return PreferencesSchema.parse({});
    throw error;
  }
}

/** What a person set for every shoot on this device. */
export const preferences = $state(stored());

export function keepPreferences(): void {
  localStorage.setItem(KEY, JSON.stringify(preferences));
}
