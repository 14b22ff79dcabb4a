/** Instructions for the helper, on paper and on the page. */
export const HOW_TO_WATER =
  'Water the soil slowly in the morning. Skip it after good rain, or if the soil is damp two knuckles deep. Please pick what is ripe; no feeding, cutting or spraying needed.';
export const IN_HEAT =
  'At 32 °C (90 °F) or more, lift the pots at midday too and water the light ones. Bin fruit that is soft, sour or gnawed. Wash your hands: leaves and stems are poisonous.';
