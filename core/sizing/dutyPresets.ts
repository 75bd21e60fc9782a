import type { Duty } from '../model/run.ts';
import { type Message, msg } from '../words/message.ts';

/** Duties met again and again: a place to start from, to be replaced by what the machine's plate says. */
export const DUTY_PRESETS: Readonly<Record<string, { readonly title: Message; readonly duty: Duty }>> = {
  cranking: {
    title: msg`Cranking`,
    duty: { steps: [{ amps: 500, seconds: 12 }], repeats: false, dropPercent: 6 },
  },
  winch: {
    title: msg`Winch`,
    duty: {
      steps: [
        { amps: 320, seconds: 60 },
        { amps: 90, seconds: 30 },
        { amps: 0, seconds: 600 },
      ],
      repeats: true,
      dropPercent: 10,
    },
  },
  windlass: {
    title: msg`Windlass`,
    duty: {
      steps: [
        { amps: 110, seconds: 180 },
        { amps: 0, seconds: 900 },
      ],
      repeats: true,
      dropPercent: 10,
    },
  },
  thruster: {
    title: msg`Bow thruster`,
    duty: {
      steps: [
        { amps: 300, seconds: 180 },
        { amps: 0, seconds: 720 },
      ],
      repeats: true,
      dropPercent: 10,
    },
  },
  inverter: {
    title: msg`Inverter surge`,
    duty: { steps: [{ amps: 260, seconds: 10 }], repeats: false, dropPercent: 8 },
  },
};
