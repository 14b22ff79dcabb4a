/** Most letters of a reason given for something usually refused. */
export const MOST_REASON = 200;
/** Most litres of water or spray in one record. */
export const MOST_LITRES = 200;
