import { SLIDERS, type SliderName, type StitchSettings } from '@nodo/shop';
import { instruments } from '../../../messages/instruments.ts';

/** What is otherwise than it should be, in words. */
export function settingsWords(settings: StitchSettings, right: StitchSettings): string {
  const words = instruments.stitch.settings;
  const slid = (Object.keys(SLIDERS) as SliderName[])
    .filter((name) => Math.abs(settings[name] - right[name]) >= SLIDERS[name].step / 2)
    .map((name) => `${words.sliders[name].name} ${words.sliders[name].says(settings[name])}`);
  return [
    ...(settings.backward ? [words.backward] : []),
    ...slid,
    ...(settings.spring ? [words.spring] : []),
  ].join('; ');
}
