import { planWords } from './plan.words';
import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import styles from './PlanView.module.css';
import { SchoolFields } from './SchoolFields';
import { type PlanHandle, wishOf } from './usePlan';

/** Asks how long a plan may take and by which school it is made, and plans again. */
export function ChangeWish({ plan, onClose }: { readonly plan: PlanHandle; readonly onClose: () => void }) {
  const [wish, setWish] = useState(wishOf(plan.view.drainageCase));
  const [minutes, setMinutes] = useState(String(wish.minutes));
  const [error, setError] = useState<string>();
  return (
    <Dialog title={planWords.timeAndSchoolOfThisPlan} isOpen onClose={onClose}>
      <form
        className={styles['wish']}
        onSubmit={(event) => {
          event.preventDefault();
          const value = Number(minutes);
          if (!(value >= 1 && value <= 480)) {
            setError(planWords.aVisitLasts1To480);
            return;
          }
          plan.replan({ ...wish, minutes: value });
          onClose();
        }}
      >
        <Field
          label={planWords.minutes}
          type="number"
          inputMode="numeric"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
          error={error}
        />
        <Choice
          label={planWords.ifTimeIsLeftOver}
          options={[
            { value: 'early', text: planWords.endEarly },
            { value: 'fill', text: planWords.moreRepetitions },
          ]}
          value={wish.fill ? 'fill' : 'early'}
          onChange={(value) => setWish((old) => ({ ...old, fill: value === 'fill' }))}
        />
        <SchoolFields school={wish.school} onChange={(school) => setWish((old) => ({ ...old, school }))} />
        <p className={styles['soft']}>{planWords.planningAgainPutsTheStepsBack}</p>
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{planWords.cancel}</Button>
          <Button look="filled" type="submit">
            {planWords.planAgain}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
