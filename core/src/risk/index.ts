export { comingRisks, type Ahead, type ComingRisk } from './coming.js';
export { hourlyC, humidHours, leafWetness, WET_FROM_PCT, type HumidHours } from './humid-hours.js';
export { isMouldDay, mouldDue } from './grey-mould.js';
export { BLIGHT_RULES, blightPeriods, type BlightPeriod, type BlightRule } from './late-blight.js';
export { NETWORK_RISKS, type NetworkRisk, type PreventiveAct } from './rows.js';
export { SEVERITY_DUE, severityDue, severityValue, type SeverityDue } from './tom-cast.js';
export { comingInWords, type ComingInWords } from './wording.js';
