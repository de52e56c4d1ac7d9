import { ensureBuilt, ensureInstalled, serve } from './setup.mjs';

ensureInstalled();
ensureBuilt();
console.log('Demo house: made-up people, kept in the data folder between starts.');
await serve({ VELVET_STONE_DEMO: '1', VELVET_STONE_DATA: process.env.VELVET_STONE_DATA ?? './var/demo' });
