import type { ClientImportPlan, ClientImportStep, ClientImportView } from '../../contracts/client-imports';
import { send } from '../api';
import { useJob } from '../imports/use-job';
import { upload } from '../upload';

/** An import of clients as the server sees it: read, stored, taken back or stopped. */
export function useClientImport() {
  const { attempt, setSent, ...run } = useJob<ClientImportView>({
    read: async (job) => (await send('GET /api/client-imports/{job}', { params: { job } })).import,
    cancel: (job) => send('DELETE /api/client-imports/{job}', { params: { job } }),
  });
  return {
    ...run,
    check: (file: Blob, plan: ClientImportPlan) =>
      attempt(async (signal) => {
        setSent(0);
        const to = { query: { plan: JSON.stringify(plan) } };
        return (await upload('POST /api/client-imports', to, file, setSent, signal)).import;
      }),
    store: (job: string, body: ClientImportStep) =>
      attempt(async () => (await send('POST /api/client-imports/{job}', { params: { job }, body })).import),
    undo: (key: number) =>
      attempt(async () => (await send('POST /api/past-client-imports/{key}/undo', { params: { key } })).import),
  };
}
