import { z } from 'zod';
import { IngredientSchema } from '../composition/ingredient';
import { SheetSchema } from '../document/schema';
import { ServiceSchema } from '../timetable/service-schema';

/** The files whose form is documented, made from the schemas that the program reads them by. */
export const SCHEMA_FILES = [
  { name: 'sheet.schema.json', title: 'Soft Peak sheet, form 2', schema: SheetSchema },
  { name: 'service.schema.json', title: 'Soft Peak service, form 1', schema: ServiceSchema },
  { name: 'ingredient.schema.json', title: 'Soft Peak ingredient', schema: IngredientSchema },
] as const;

/** The JSON Schema of one of them, as it stands in docs/formats. */
export function schemaText(name: string): string {
  const file = SCHEMA_FILES.find((f) => f.name === name);
  if (!file) throw new RangeError(`no schema file ${name}`);
  return `${JSON.stringify({ title: file.title, ...z.toJSONSchema(file.schema, { io: 'input' }) }, null, 2)}\n`;
}
