// The enums of the API as TypeScript: their values in the order of the code, and their types.
import { readFileSync } from 'node:fs';

const { components } = JSON.parse(readFileSync(process.argv[2], 'utf8'));
process.stdout.write('// Made by bin/types from the description of the API. Not to be written by hand.\n');
for (const [name, schema] of Object.entries(components.schemas)) {
  if (!schema.enum) continue;
  process.stdout.write(`\n/** ${schema.description ?? name} */\n`);
  process.stdout.write(`export const ${name} = [${schema.enum.map((value) => `'${value}'`).join(', ')}] as const;\n`);
  process.stdout.write(`export type ${name} = (typeof ${name})[number];\n`);
}
