export { startBroker, type Broker } from './broker.js';
export { FAULTS, type FaultKind } from './faults.js';
export { homeStation, type HomeStation, type Measured } from './home-station.js';
export { startHoseTimer, type HoseTimer, type Logged } from './hose-timer.js';
export { startMail, type KeptMail, type MailStandIn } from './mail.js';
export { startMetNorway, type MetNorwayStandIn } from './met-norway.js';
export { startOpenMeteo, type OpenMeteoStandIn } from './open-meteo.js';
export { startPushService, type PushServiceStandIn } from './push-service.js';
export { startStation, type Station } from './station.js';
