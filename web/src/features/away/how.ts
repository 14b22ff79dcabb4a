/** What whoever waters is told, on paper and on the page alike. */
export const HOW_TO_WATER =
  'Water in the morning, on the soil, slowly. Where it has rained well, or the soil is damp two knuckles deep, leave it out. Please pick what is ripe; nothing needs feeding, cutting or spraying.';
export const IN_HEAT =
  'In heat of 32 °C (90 °F) and more lift the pots at midday too and water those that are light. Fruit that is soft, sour or gnawed goes in the bin. Wash hands: leaves and stems are poisonous.';
