import type { Crop } from '../plant.js';

/** Codes of the disorders. What is known of each stands in the tables of the diagnosis. */
export const DISORDER_CODES = [
  // fruit
  'blossom-end-rot',
  'ring-cracking',
  'radial-cracking',
  'sunscald',
  'catfacing',
  'zippering',
  'yellow-shoulder',
  'blotchy-ripening',
  'pepper-corking',
  'pepper-dark-flush',
  'stalled-ripening',
  'watery-fruit',
  // flower
  'blossom-drop',
  'natural-flower-shedding',
  'few-flowers',
  // water, heat, cold, light
  'dry-wilt',
  'waterlogging',
  'heat-wilt',
  'leaf-roll',
  'transplant-shock',
  'leaf-sunburn',
  'legginess',
  'cold-check',
  'frost-injury',
  'oedema',
  // nutrition
  'nitrogen-shortage',
  'nitrogen-excess',
  'magnesium-shortage',
  'iron-shortage',
  'phosphorus-shortage',
  'potassium-shortage',
  'fertilizer-burn',
  // natural, mechanical
  'leaf-ageing',
  'stem-roots',
  'mechanical-damage',
  'support-failure',
  'herbicide-injury',
  'spray-injury',
  // insects and others
  'aphids',
  'whitefly',
  'spider-mites',
  'broad-mites',
  'thrips',
  'hornworm',
  'fruitworm',
  'flea-beetles',
  'slugs',
  'stink-bugs',
  'leafminers',
  'fungus-gnats',
  'birds',
  'gnawing-animals',
  // disease
  'early-blight',
  'septoria-leaf-spot',
  'late-blight',
  'bacterial-leaf-spot',
  'leaf-mould',
  'powdery-mildew',
  'vascular-wilt',
  'bacterial-wilt',
  'root-knot-nematodes',
  'mosaic-virus',
  'spotted-wilt-virus',
  'leaf-curl-virus',
  'fruit-anthracnose',
  'damping-off',
] as const;
export type DisorderCode = (typeof DISORDER_CODES)[number];

/** Disorders that only one of the crops gets. */
const ONLY_ON: Partial<Record<DisorderCode, Crop>> = {
  'early-blight': 'tomato',
  'septoria-leaf-spot': 'tomato',
  'late-blight': 'tomato',
  'leaf-mould': 'tomato',
  'leaf-curl-virus': 'tomato',
  'stem-roots': 'tomato',
  'ring-cracking': 'tomato',
  'radial-cracking': 'tomato',
  catfacing: 'tomato',
  zippering: 'tomato',
  'yellow-shoulder': 'tomato',
  'blotchy-ripening': 'tomato',
  'pepper-corking': 'pepper',
  'pepper-dark-flush': 'pepper',
};

/** The one crop that gets it; undefined for both. */
export const onlyCropOf = (code: DisorderCode): Crop | undefined => ONLY_ON[code];
