import { openApiDocument } from '../../contracts/openapi';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint(() => Response.json(openApiDocument()));
