import { SETTING_NAMES, type SettingName, type StitchSettings, stitchSettings } from '@nodo/shop';

/** Settings from the parameters of an address, whose names begin with a word; what it says wrong is left out. */
export function settingsIn(address: URLSearchParams, begins: string): Partial<StitchSettings> {
  const said = SETTING_NAMES.flatMap((name) => {
    const text = address.get(`${begins}${name}`);
    if (text === null || text.trim() === '') return [];
    const value = isFlag(name) ? text === '1' : Number(text);
    const read = stitchSettings.shape[name].safeParse(value);
    return read.success ? [[name, read.data] as const] : [];
  });
  return Object.fromEntries(said);
}

/** The other way round: what differs from `base`. */
export function addressOf(
  settings: StitchSettings,
  base: StitchSettings,
  begins: string,
): readonly (readonly [string, string])[] {
  return SETTING_NAMES.flatMap((name) => {
    const value = settings[name];
    if (value === base[name]) return [];
    return [[`${begins}${name}`, String(typeof value === 'boolean' ? Number(value) : tidy(value))]];
  });
}

/** Without what rounding leaves behind. */
export function tidy(value: number): number {
  return Math.round(value * 1000) / 1000;
}

function isFlag(name: SettingName): name is 'backward' | 'spring' {
  return name === 'backward' || name === 'spring';
}
