import type { ImportPlan, ImportTrouble } from '../../contracts/imports';
import type { GatheredTaping } from '../../core/exchange/gather-tapings';
import { plainLetters } from '../../core/search/nearness';
import { type VolumeSettings, volumeSettings } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import { listOwners } from '../clients/clients.repository';
import { findClientMeasuring } from './measures.repository';
import { findMeasuring } from '../people/settings.repository';
import { listTapedDays } from './tapings.repository';
import { isoDay } from '../shared/house-clock';
import { measuresAnswers } from './measures.answers';

/** Whose a taping is, and what of theirs it is measured and compared with. */
export interface Owner {
  readonly id: number;
  readonly name: string;
  readonly bornOn: string | null;
  readonly side: 'left' | 'right' | null;
  readonly settings: VolumeSettings;
  /** Date, phase and limb of what was taped already. */
  readonly known: Set<string>;
}

export type Refused = Omit<ImportTrouble, 'row'>;

/** Finds whose a taping is; each client is looked up once. */
export class Owners {
  readonly #known = new Map<string, Owner | Refused>();

  constructor(
    private readonly db: Db,
    private readonly plan: ImportPlan,
  ) {}

  async of(taping: GatheredTaping): Promise<Owner | Refused> {
    const key =
      this.plan.clientId === null ? `${plainLetters(taping.client)}\n${taping.born ?? ''}` : measuresAnswers.theOne;
    const known = this.#known.get(key) ?? (await this.#find(taping));
    this.#known.set(key, known);
    return known;
  }

  async #find(taping: GatheredTaping): Promise<Owner | Refused> {
    const { clientId } = this.plan;
    const rows = await listOwners(this.db, clientId === null ? { name: taping.client } : { id: clientId });
    const fitting = taping.born === null ? rows : rows.filter((row) => row.born_on === taping.born);
    const [client] = fitting;
    if (!client) return { column: 'client', message: measuresAnswers.thereIsNoClientOnRecord(taping.client) };
    if (fitting.length > 1)
      return { column: 'client', message: measuresAnswers.thereAreSeveralClientsGiveThe(taping.client) };
    const [house, own, apart] = await Promise.all([
      findMeasuring(this.db),
      findClientMeasuring(this.db, client.id),
      listTapedDays(this.db, client.id),
    ]);
    return {
      id: client.id,
      name: client.name,
      bornOn: client.born_on,
      side: own.side,
      settings: volumeSettings(house, own),
      known: new Set(apart.map((row) => keyOf(isoDay(row.taken_at), row.phase, row.limb))),
    };
  }
}

const keyOf = (date: string, phase: string, limb: string) => `${date} ${phase} ${limb}`;

/** What keeps a taping from being brought in for its owner. */
export function troubleWith(taping: GatheredTaping, owner: Owner): Refused | undefined {
  if (owner.bornOn !== null && taping.date < owner.bornOn)
    return { column: 'date', message: measuresAnswers.liesBeforeTheBirthOf(taping.date, owner.name) };
  if (owner.known.has(keyOf(taping.date, taping.phase, taping.limb)))
    return { column: 'date', message: measuresAnswers.aTapingOfOfIsOn(owner.name, taping.date) };
  return undefined;
}
