import * as z from 'zod';

// The page's policy forbids making code from text; Zod must check by walking its schemas instead of compiling them.
z.config({ jitless: true });
