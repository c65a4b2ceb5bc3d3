// Writes the JSON Schemas of the open file formats, from the schemas the application itself checks with.
import { mkdirSync, writeFileSync } from 'node:fs';
import { jsonSchemas } from '../src/core/formats/jsonSchema';

mkdirSync('docs', { recursive: true });
for (const [name, schema] of Object.entries(jsonSchemas())) {
  writeFileSync(`docs/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
}
