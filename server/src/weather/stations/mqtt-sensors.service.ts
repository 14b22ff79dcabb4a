import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import mqtt, { type MqttClient } from 'mqtt';
import { CONFIG, type Config } from '../../config.js';
import { inBackground } from '../../shared/background.js';
import { OwnStations } from './own-stations.service.js';
import { UploadLimits } from './upload-limits.js';
import { METRIC, metricReading } from './upload.js';

/** Topics of sensors: `candid-leaf/KEY/temperature_c` with a number, or `candid-leaf/KEY` with a JSON object of them. */
const TOPIC = 'candid-leaf';
const MOST_BYTES = 2000;

/** Sensors that publish to a broker of the household. */
@Injectable()
export class MqttSensors implements OnApplicationBootstrap, OnModuleDestroy {
  private client: MqttClient | null = null;
  private readonly log = new Logger(MqttSensors.name);

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly stations: OwnStations,
    private readonly limits: UploadLimits,
  ) {}

  onApplicationBootstrap(): void {
    const { mqttUrl } = this.config.weather;
    if (!mqttUrl) return;
    // it connects again by itself; a broker that is away stops nothing
    const client = mqtt.connect(mqttUrl, { reconnectPeriod: 10_000, connectTimeout: 10_000 });
    client.on('error', (error) => this.log.warn(`the broker: ${error.message}`));
    client.on('connect', () => client.subscribe([`${TOPIC}/+`, `${TOPIC}/+/+`]));
    client.on(
      'message',
      (topic, payload) => void inBackground('a reading from the broker', () => this.take(topic, payload)),
    );
    this.client = client;
  }

  async onModuleDestroy(): Promise<void> {
    await this.client?.endAsync(true);
  }

  /** Takes one message; what is no reading is left out. */
  private async take(topic: string, payload: Buffer): Promise<void> {
    const [, key, name] = topic.split('/');
    const values = payload.length <= MOST_BYTES ? valuesOf(name, payload.toString('utf8')) : null;
    if (!key || !values) return;
    const gardenId = await this.limits.pass(key, 'the broker', () => this.stations.gardenBehind(key));
    if (gardenId !== null) await this.stations.receive(gardenId, metricReading(values, stampOf(values)));
  }
}

const stampOf = ({ time }: Record<string, unknown>): string | null => (typeof time === 'string' ? time : null);

function valuesOf(name: string | undefined, text: string): Record<string, unknown> | null {
  if (name !== undefined) return name in METRIC ? { [name]: text.trim() } : null;
  try {
    const values: unknown = JSON.parse(text);
    return typeof values === 'object' && values !== null && !Array.isArray(values)
      ? (values as Record<string, unknown>)
      : null;
  } catch {
    return null;
  }
}
