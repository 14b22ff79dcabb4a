import type { SignCode } from './signs.js';

/** What people type for a sign, beside its own name and line. */
const PLAIN_WORDS: readonly (readonly [words: string, signs: readonly SignCode[]])[] = [
  ['drooping droopy limp floppy hanging sagging wilted wilting thirsty', ['leaf-wilt', 'leaf-wilt-midday-only', 'leaf-wilt-at-dawn', 'leaf-wilt-one-side']],
  ['leggy spindly stretched lanky thin tall weak', ['plant-flopping']],
  ['eaten chewed bitten munched nibbled holes bugs insects something', ['leaf-ragged-holes', 'leaf-shot-holes', 'fruit-chewed', 'fruit-gnawed-or-gone', 'fruit-deep-hole']],
  ['white stuff coating dust flour mildew', ['leaf-white-powder', 'leaf-white-fuzz-under', 'stem-white-fur']],
  ['white stuff crust salt', ['soil-white-crust']],
  ['bugs insects greenfly blackfly lice', ['pest-aphids', 'leaf-sticky']],
  ['bugs insects', ['pest-whitefly', 'pest-stink-bug', 'pest-flea-beetle', 'pest-potato-beetle', 'flower-tiny-insects']],
  ['worm grub caterpillar eaten', ['pest-hornworm', 'pest-caterpillar', 'fruit-grubs-inside']],
  ['hard shoulders green top tops yellow stay', ['fruit-green-shoulders']],
  ['black brown rotten bottom end rot', ['fruit-blossom-end-dark']],
  ['split cracked cracking bursting', ['fruit-ring-cracks', 'fruit-radial-cracks', 'fruit-burst']],
  ['burnt sunburn sunburned scorched white patch', ['fruit-pale-papery-patch', 'leaf-bleached-patches']],
  ['flowers blossoms falling dropping off', ['flower-drop']],
  ['curling curled rolling rolled twisted', ['leaf-roll-up', 'leaf-curl-down', 'leaf-curl-tight-new', 'leaf-strap-twist']],
  ['spots spotted black brown dots', ['leaf-target-spots', 'leaf-small-grey-spots', 'leaf-small-dark-spots']],
  ['stunted small not growing tiny stopped', ['plant-stunted']],
  ['deformed odd shape catface', ['fruit-scarred-misshapen']],
];

const BY_SIGN = new Map<SignCode, string>();
for (const [words, signs] of PLAIN_WORDS) for (const sign of signs) BY_SIGN.set(sign, `${BY_SIGN.get(sign) ?? ''} ${words}`.trim());

/**
 * Returns what people type for a sign beside its own name; empty if nothing else.
 * @example plainWordsOf('plant-flopping') // 'leggy spindly stretched lanky thin tall weak'
 */
export const plainWordsOf = (sign: SignCode): string => BY_SIGN.get(sign) ?? '';
