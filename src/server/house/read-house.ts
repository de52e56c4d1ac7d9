import { screeningBook } from '../../catalogue/screening/screening';
import type { HouseView } from '../../contracts/house-views';
import type { Db } from '../db/connection';
import { findMeasuring, findSettings } from '../people/settings.repository';
import { findHouse, listStaff } from '../people/people.repository';
import { shortDay } from '../shared/house-clock';
import type { AuditWish } from './audit.repository';
import { listFactorOwners } from '../auth/second-factor.repository';
import { readAudit } from './read-audit';
import { wordingMadeAt } from '../screening/screening.repository';
import { readWording } from '../screening/wording';
import { version } from '../../core/version';

/** What the owner sees to: people, the wording of the consent, and who did what. */
export async function readHouse(db: Db, wish: AuditWish): Promise<HouseView> {
  const [house, staff, wording, audit, made, measuring, settings, factors] = await Promise.all([
    findHouse(db),
    listStaff(db),
    readWording(db),
    readAudit(db, wish),
    wordingMadeAt(db),
    findMeasuring(db),
    findSettings(db),
    listFactorOwners(db),
  ]);
  return {
    name: house?.name ?? '',
    phone: house?.phone ?? '',
    people: staff.map(({ hasPassword, hasPin, leftAt, login, ...member }) => ({
      ...member,
      login: login ?? '',
      canSignIn: hasPassword,
      hasPin,
      hasFactor: factors.includes(member.id),
      leftOn: leftAt === null ? null : shortDay(leftAt),
    })),
    qualifications: screeningBook.qualifications.map(({ id, label }) => ({ id, label })),
    wording: { ...wording, since: made ? shortDay(made) : '' },
    language: settings.language ?? 'en',
    currency: settings.currency ?? 'EUR',
    version,
    dateOrder: settings.dateOrder ?? 'day-month-year',
    secondFactor: settings.secondFactor ?? 'nobody',
    audit,
    measuring,
  };
}
