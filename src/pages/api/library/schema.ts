import { z } from 'zod';
import { LibraryFile } from '../../../contracts/library';
import { endpoint } from '../../../server/http/endpoint';

/** The shape of a library file as a JSON Schema. */
export const GET = endpoint(() =>
  Response.json({ title: 'Velvet Stone library', ...z.toJSONSchema(LibraryFile, { io: 'input' }) }),
);
