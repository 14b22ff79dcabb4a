/**
 * Cautions, each shown where its act is. They defer to the label, local rules and licensed practice where these decide.
 * Raw manure: USDA National Organic Program, 7 CFR 205.203; lead: `soil/lead.ts`; the others common practice. All from
 * memory.
 */
export const CAUTIONS = {
  spray:
    'Read the label: in most places it is the law, and local rules apply too. Wear gloves and cover skin and eyes. Spray only without wind, never on open flowers while bees fly, and not beside a pond. Keep children and pets away until it is dry. Keep the waiting time before harvest. If it is swallowed or gets into eyes, call a poison centre first.',
  'test-spray': 'Test one leaf first and check it after 24 hours. In heat or drought, or if mixed too strong, it burns leaves.',
  copper: 'Copper builds up in soil and harms water life. Stay within the yearly limit on the label. You may need a licence; ask your local authority.',
  dust: 'It is dusty: wear a mask and eye protection, and dampen it.',
  heat: 'Above 32 °C (90 °F) work early or late, with a hat, water and breaks.',
  ladder: 'Stand poles and steps on firm ground. Do not work alone or in wind.',
  blades: 'Watch your eyes and fingers, and keep a first-aid kit at hand. Wipe blades with 70 % alcohol between sick plants.',
  'wash-hands': 'Leaves and stems are poisonous to people and pets in quantity. Wash your hands afterwards.',
  salvage: 'Bin soft, sour, leaking or mouldy fruit. Do not can damaged fruit.',
  bag: 'Bag it; do not compost it.',
  report: 'In some places it must be reported. Ask your plant health service.',
  canes: 'Put caps on cane ends.',
  manure: 'Use only well-rotted manure, and never that of dogs, cats or pigs. Hay, straw or manure from sprayed land can carry weedkiller: test it with a bean seedling.',
  'raw-manure': 'It can carry germs: none in the 120 days before you pick, or 90 where no fruit touches the soil. Never use dog, cat or pig manure.',
  'plain-paper': 'Plain paper only: nothing glossy, waxed or taped.',
  'mark-hot': 'Mark hot peppers with a coloured tag, so that children know them.',
  'plastic-string': 'Plastic string sheds fibres: collect every piece, or use natural string.',
  hot: 'Hot peppers: wear gloves, keep them away from eyes and children, and air the room when you cut, dry or seed them.',
  'mosaic-tools': 'Alcohol is not enough against mosaic viruses. Wash in hot soapy water, then dip in 20 % skimmed milk powder or fresh bleach, one part in ten. Rinse. Wear gloves, and never mix bleach with anything.',
  fouled: 'Bin all of any fruit that is gnawed or has droppings on it, and wash your hands.',
  bait: 'Bait harms pets, hedgehogs and pond life. Avoid it or lock it in a bait box; follow the label and local rules.',
  'bird-bath': 'Change the water every two days.',
  lime: 'Use ground garden limestone only, never hydrated lime or quicklime.',
  lead: 'Near roads or old painted walls, have the soil tested for lead before you grow food.',
  lights: 'Lights over trays: use a residual-current device. Let each cable hang in a loop, so that drops fall off it.',
  'cut-bottle': 'Cut plastic is sharp: wear gloves, and tape the edge.',
  oil: 'In oil, peppers and garlic can carry botulism: keep them in the fridge and eat them within four days, or freeze them.',
} as const;
/** Code of a caution. */
export type CautionCode = keyof typeof CAUTIONS;
