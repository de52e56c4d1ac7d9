import type { ClientId } from '../../core/ids';
import { screeningBook } from '../../catalogue/screening/screening';
import type { TemplateInput } from '../../contracts/treatment';
import type { TreatmentOffers } from '../../contracts/treatment-views';
import { lineWorkId } from '../../core/facial/line-work';
import { type Protocol, protocolStepSeconds } from '../../core/library/protocol';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { listObservationsOfClient } from '../measures/measures.repository';
import { insertTemplate, listTemplates, removeTemplate } from './templates.repository';
import { insertAudit } from '../house/audit.repository';
import { lastTreatment } from './given-treatment';
import { unknownChoices } from './make-treatment';
import { type HouseLibrary, readHouseLibrary } from '../library/read-library';
import type { Actor, SaveRefusal } from '../shared/saving';
import { treatmentsAnswers } from './treatments.answers';

/**
 * What may be chosen for a visit: ready-made treatments first, then all that the library has.
 * @param clientId adds what is usual for that client, and what was given last
 */
export async function offerTreatments(db: Db, clientId: ClientId | null, now: Date): Promise<TreatmentOffers> {
  const [library, templates, last, observations] = await Promise.all([
    readHouseLibrary(db),
    listTemplates(db, clientId),
    clientId === null ? null : lastTreatment(db, clientId, now.toISOString()),
    clientId === null ? [] : listObservationsOfClient(db, clientId),
  ]);
  const drawn = observations.findLast(({ kind }) => kind === 'lines');
  const lines = drawn?.kind === 'lines' ? drawn.value.lines.length : 0;
  return {
    ready: [
      ...(last
        ? [
            {
              id: 'last',
              kind: 'last' as const,
              name: treatmentsAnswers.asOn(last.date, last.name),
              minutes: last.minutes,
              holds: last.holds,
            },
          ]
        : []),
      ...templates.map(({ id, clientId: of, name, minutes, holds }) => ({
        id: String(id),
        kind: of === null ? ('house' as const) : ('usual' as const),
        name,
        minutes,
        holds,
      })),
    ],
    protocols: [
      ...[...library.protocols.values()].map((protocol) => offered(library, protocol)),
      ...(lines > 0 ? [lineWork(lines)] : []),
    ],
  };
}

function offered(library: HouseLibrary, protocol: Protocol): TreatmentOffers['protocols'][number] {
  const secondsOf = (block: Protocol['blocks'][number]) =>
    block.steps.reduce((sum, step) => {
      const technique = library.techniques.get(step.technique);
      if (!technique) return sum;
      return sum + protocolStepSeconds(technique, step, step.repetitions ?? technique.repetitions.usual);
    }, 0);
  return {
    id: protocol.id,
    name: protocol.name,
    about: protocol.about,
    modality: screeningBook.modalities.get(protocol.modality)?.label ?? protocol.modality,
    school: protocol.school,
    minutes: protocol.usualMinutes,
    isPlanned: protocol.source === 'planner',
    hasHeat: protocol.modality === 'hot-stone',
    parts: protocol.blocks.map((block) => ({
      id: block.id,
      name: block.id.replaceAll('-', ' '),
      minutes: Math.max(1, Math.round(secondsOf(block) / 60)),
    })),
  };
}

const minutesPerLine = 1;

const lineWork = (lines: number): TreatmentOffers['protocols'][number] => ({
  id: lineWorkId,
  name: treatmentsAnswers.theClientsOwnLines,
  about: treatmentsAnswers.drawnOnTheFaceAcrossEach(lines),
  modality: screeningBook.modalities.get('facial-massage')?.label ?? treatmentsAnswers.facialMassage,
  school: 'outlet-first',
  minutes: Math.max(2, lines * minutesPerLine),
  isPlanned: false,
  hasHeat: false,
  parts: [],
});

/** Keeps a treatment to be taken again. */
export async function saveTemplate(
  db: Db,
  input: TemplateInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly id: number } | SaveRefusal> {
  const unknown = unknownChoices(await readHouseLibrary(db), input.holds);
  if (unknown.length > 0)
    return { kind: 'refused', errors: unknown.map(({ path, message }) => ({ path: `holds.${path}`, message })) };
  if (input.clientId !== null && !(await findClient(db, input.clientId)))
    return { kind: 'refused', errors: [{ path: 'clientId', message: treatmentsAnswers.thereIsNoSuchClient }] };
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const id = await insertTemplate(trx, input, actor.therapistId, now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: input.clientId === null ? 'treatment kept for the house' : 'usual treatment kept',
      subject: input.clientId === null ? `template ${id}` : `client ${input.clientId}`,
      detail: input.name,
    });
    return { kind: 'saved', id } as const;
  });
}

/** Takes a template away; visits planned from it stay as they are. */
export async function dropTemplate(
  db: Db,
  id: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  return (await removeTemplate(db, id, actor.now.toISOString())) ? { kind: 'saved' } : { kind: 'not-found' };
}
