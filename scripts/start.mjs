import { ensureBuilt, ensureInstalled, serve } from './setup.mjs';

ensureInstalled();
ensureBuilt();
await serve({ VELVET_STONE_DATA: process.env.VELVET_STONE_DATA ?? './var' });
