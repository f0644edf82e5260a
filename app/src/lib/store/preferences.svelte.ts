import * as z from 'zod';

/** The light a person works in, and the filters at hand in stops. */
const ExposureSchema = z.object({
  ev100: z.number().min(-10).max(24),
  iso: z.number().min(6).max(1_000_000),
  mainsHz: z.number().min(1).max(1000),
  filters: z.array(z.number().min(0.1).max(24)).max(20),
});
const USUAL_EXPOSURE = { ev100: 15, iso: 100, mainsHz: 50, filters: [1, 2, 3, 6] };

const PreferencesSchema = z.object({
  units: z.enum(['metric', 'imperial']).catch('metric'),
  light: z.enum(['paper', 'dim']).catch('paper'),
  guides: z.boolean().catch(true),
  body: z.boolean().catch(false),
  /** How the picture through the lens is shown. */
  lensBlur: z.boolean().catch(false),
  motionBlur: z.boolean().catch(false),
  sharpTone: z.boolean().catch(false),
  exposure: ExposureSchema.catch(USUAL_EXPOSURE),
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
