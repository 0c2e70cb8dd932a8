import { say, type Message } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { fileSensor, type Sensor } from './sensors.ts';

export const SENSOR_FILE_FORMAT = 'lettura-sensors';
export const SENSOR_FILE_VERSION = 1;
export const MOST_FILE_SENSORS = 2000;
/** Over this a file is refused unread: 2,000 sensors of a few points, or a few with 10,000. */
export const MOST_FILE_BYTES = 8 * 1024 * 1024;

/** Sensors in a file, for keeping and passing on. Its JSON Schema is published by the server. */
export const sensorFile = z
  .strictObject({
    format: z.literal(SENSOR_FILE_FORMAT),
    version: z.literal(SENSOR_FILE_VERSION),
    sensors: z.array(fileSensor).min(1).max(MOST_FILE_SENSORS),
  })
  .superRefine(({ sensors }, context) => {
    const first = new Map<string, number>();
    sensors.forEach(({ id }, i) => {
      const earlier = first.get(id);
      if (earlier === undefined) return void first.set(id, i);
      context.addIssue({
        code: 'custom',
        path: ['sensors', i, 'id'],
        message: refusal(say('refusal.id-used-by-sensor', { number: earlier + 1 })),
      });
    });
  });
export type SensorFile = z.infer<typeof sensorFile>;

/** One thing that is wrong in a file, in the words of somebody who looks at the file. */
export interface FileFault {
  where: Message;
  what: Message;
}

/** What leaves the library: neither versions nor lineage, which belong to this library alone. */
export const sensorFileOf = (sensors: readonly Sensor[]): SensorFile => ({
  format: SENSOR_FILE_FORMAT,
  version: SENSOR_FILE_VERSION,
  sensors: sensors.map(({ lineageId: _lineageId, version: _version, ...rest }) => rest),
});

/** JSON Schema (draft 2020-12), generated from what the program itself checks with. */
export const sensorFileSchema = () => ({
  $id: 'urn:lettura:schema:sensors:1',
  title: 'Lettura sensors, version 1',
  ...z.toJSONSchema(sensorFile, { io: 'input' }),
});
