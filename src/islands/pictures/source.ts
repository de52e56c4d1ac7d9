import type { ClientId } from '../../core/ids';

/** Where a picture is fetched from; only staff of the house is given it. */
export const sourceOf = (clientId: ClientId, { fileId }: { readonly fileId: number }): string =>
  `/api/clients/${clientId}/files/${fileId}`;
