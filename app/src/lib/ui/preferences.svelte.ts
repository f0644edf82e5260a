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
  /** Depth runs from warm to cool over the colours of the picture. */
  depthTint: z.boolean().catch(false),
  mainsHz: z.literal([50, 60]).catch(50),
  /** How a count is heard and felt, and whether the picture is beside it. */
  countClicks: z.boolean().catch(true),
  countVoice: z.boolean().catch(true),
  countBuzz: z.boolean().catch(true),
  countPicture: z.boolean().catch(true),
  /** How the phone that records motion is fixed to the rig. */
  phoneLies: z.enum(['upright', 'sideways', 'flat', 'asCamera']).catch('upright'),
});

const KEY = 'gentle-arc-preferences';

/** A text that this browser kept under a name; null when there is none, or it keeps nothing. */
export function keptText(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    // Blocked, full or missing: what would lie there is only convenient.
    return null;
  }
}

/** Keeps a text where the browser lets it; what is only convenient is lost without a word otherwise. */
export function keepText(key: string, text: string): void {
  try {
    localStorage.setItem(key, text);
  } catch {
    // As above.
  }
}

export function forgetText(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // What keeps nothing has nothing to forget.
  }
}

function stored(): z.infer<typeof PreferencesSchema> {
  try {
    return PreferencesSchema.catch(PreferencesSchema.parse({})).parse(JSON.parse(keptText(KEY) ?? '{}'));
  } catch (error) {
    if (error instanceof SyntaxError) return PreferencesSchema.parse({});
    throw error;
  }
}

/** What a person set for every shoot on this device. */
export const preferences = $state(stored());

export function keepPreferences(): void {
  keepText(KEY, JSON.stringify(preferences));
}
