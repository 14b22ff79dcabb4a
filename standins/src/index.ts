export { startStation, type Station } from './station.js';
export { startHoseTimer, type HoseTimer, type Logged } from './hose-timer.js';
export { startMail, type KeptMail, type MailStandIn } from './mail.js';
