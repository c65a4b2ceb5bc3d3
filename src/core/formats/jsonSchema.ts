import '../basics/zodSetup';
import * as z from 'zod/mini';
import { logFileSchema } from './logFile';
import { jobFileSchema, shopFileSchema } from './jobFile';

/** JSON Schema (2020-12) of each file format, generated from the schema the application reads with. */
export const jsonSchemas = (): Readonly<Record<'job-file' | 'shop-file' | 'log-file', unknown>> => ({
  'job-file': z.toJSONSchema(jobFileSchema),
  'shop-file': z.toJSONSchema(shopFileSchema),
  'log-file': z.toJSONSchema(logFileSchema),
});
