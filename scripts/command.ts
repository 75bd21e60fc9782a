import { fileURLToPath } from 'node:url';
import { parseArgs, type ParseArgsConfig } from 'node:util';

/** What a command answers: what it prints, or the sentence that says why it does not, and the code it ends with. */
export type Answer =
  | { readonly code: 0; readonly printed: string }
  | { readonly code: 1 | 2; readonly sentence: string };

export const print = (printed: string): Answer => ({ code: 0, printed });
/** What was asked cannot be meant. */
export const misasked = (sentence: string): Answer => ({ code: 2, sentence });
/** What was asked is clear, and what it was asked of will not do. */
export const refused = (sentence: string): Answer => ({ code: 1, sentence });

/** What was asked for, by its options, each with a value, and by what else was named; null where an option is unknown. */
export function askedFor<Options extends NonNullable<ParseArgsConfig['options']>>(
  args: readonly string[],
  options: Options,
) {
  try {
    return parseArgs({ args: [...args], allowPositionals: true, options });
  } catch {
    return null;
  }
}

/** Answers on the command line, where a file was called as a command; where it was imported it does nothing. */
export async function asCommand(
  url: string,
  answer: (args: readonly string[]) => Answer | Promise<Answer>,
): Promise<void> {
  if (process.argv[1] !== fileURLToPath(url)) return;
  const answered = await answer(process.argv.slice(2));
  if (answered.code === 0) console.log(answered.printed);
  else console.error(answered.sentence);
  process.exitCode = answered.code;
}
