import { z } from 'zod';

/**
 * The same schema for whoever reads: fields that it does not know are left out instead of refused, and what only guards the
 * writing (limits, refinements) is not asked again. So a page that has been open since yesterday survives a field that was
 * added today, and a line on record stays readable after a limit has changed. Kinds and required fields must still be there.
 */
export function asRead<Schema extends z.ZodType>(
  schema: Schema,
): z.ZodType<z.output<Schema>, z.output<Schema>> {
  return loose(schema) as z.ZodType<z.output<Schema>, z.output<Schema>>;
}

function loose(schema: z.core.$ZodType): z.ZodType {
  const { def } = (schema as z.core.$ZodTypes)._zod;
  // Every other sort of schema is read as it is written.
  // eslint-disable-next-line @typescript-eslint/switch-exhaustiveness-check
  switch (def.type) {
    case 'object':
      return z.object(
        Object.fromEntries(Object.entries(def.shape).map(([name, field]) => [name, loose(field)])),
      );
    case 'array':
      return z.array(loose(def.element));
    case 'optional':
      return loose(def.innerType).optional();
    case 'nullable':
      return loose(def.innerType).nullable();
    case 'default':
      return loose(def.innerType).default(def.defaultValue);
    case 'readonly':
      return loose(def.innerType).readonly();
    case 'union': {
      const options = def.options.map(loose);
      const { discriminator } = def as { discriminator?: string };
      return discriminator
        ? z.discriminatedUnion(discriminator, options as never)
        : z.union(options as [z.ZodType, ...z.ZodType[]]);
    }
    // What is said may be said in a way that this page does not know yet: it is shown by its code then.
    case 'lazy':
      return z.unknown();
    case 'number':
      return z.number();
    case 'string':
      return z.string();
    default:
      return schema as z.ZodType;
  }
}
