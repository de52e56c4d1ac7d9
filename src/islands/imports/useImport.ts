import type { ImportPlan, ImportView } from '../../contracts/imports';
import { send } from '../api';
import { upload } from '../upload';
import { useJob } from './use-job';

/** An import of girths as the server sees it: started, watched, stored or stopped. */
export function useImport() {
  const { attempt, setSent, ...run } = useJob<ImportView>({
    read: async (job) => (await send('GET /api/imports/{job}', { params: { job } })).import,
    cancel: (job) => send('DELETE /api/imports/{job}', { params: { job } }),
  });
  return {
    ...run,
    check: (file: Blob, plan: ImportPlan) =>
      attempt(async (signal) => {
        setSent(0);
        return (await upload('POST /api/imports', { query: { plan: JSON.stringify(plan) } }, file, setSent, signal))
          .import;
      }),
    store: (job: string, leaveOutTroubled: boolean) =>
      attempt(
        async () => (await send('POST /api/imports/{job}', { params: { job }, body: { leaveOutTroubled } })).import,
      ),
  };
}
