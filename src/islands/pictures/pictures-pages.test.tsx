import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { PhotoView, PicturesView } from '../../contracts/picture-views';
import type { PictureAnswer } from '../../core/pictures/agreement';
import { Agreement } from './Agreement';
import { LightLine } from './LightLine';
import { PictureIntake } from './PictureIntake';
import { Pairs } from './Pairs';

const even = { leftPercent: 60, rightPercent: 60 };
const photo = (id: number, change: Partial<PhotoView> = {}): PhotoView => ({
  ...{ id, fileId: 100 + id, pose: 'front', phase: 'before', date: `${id} May 2026`, takenAt: '' },
  ...{ visitId: id, light: even },
  ...change,
});
const pictures = (answer: PictureAnswer | null, ...photos: readonly PhotoView[]): PicturesView => ({
  answer,
  answeredOn: answer === null ? null : '4 May 2026',
  photos,
});
const nothing = () => undefined;

describe('what is asked about pictures', () => {
  const asked = (view: PicturesView) =>
    renderToStaticMarkup(<Agreement clientId={3} pictures={view} onAnswered={nothing} />);

  it('says what they are for, and that nobody has asked yet', () => {
    const page = asked(pictures(null));
    expect(page).toContain('They lie with the record and nowhere else');
    expect(page).toContain('Not asked yet.');
    expect(page).not.toContain('checked=""');
  });

  it('says when it was answered, and offers to remove what is on record only after a no', () => {
    expect(asked(pictures('letters', photo(1)))).toContain('Asked on 4 May 2026.');
    expect(asked(pictures('letters', photo(1)))).not.toContain('Remove');
    expect(asked(pictures('refused', photo(1)))).toContain('1 picture is still on record.');
    expect(asked(pictures('refused', photo(1), photo(2)))).toContain('Remove 2 pictures');
    expect(asked(pictures('refused'))).not.toContain('still on record');
  });
});

describe('pictures as pairs', () => {
  const shown = (view: PicturesView, visitId?: number) =>
    renderToStaticMarkup(<Pairs clientId={3} pictures={view} {...(visitId === undefined ? {} : { visitId })} />);
  const both = [photo(1), photo(1, { id: 2, fileId: 102, phase: 'after' })];

  it('of a visit lie over each other under a slider, each with its words', () => {
    const page = shown(pictures('record', ...both), 1);
    expect(page).toContain('Pictures, before and after');
    expect(page).toContain('alt="front, 1 May 2026, before"');
    expect(page).toContain('src="/api/clients/3/files/102"');
    expect(page).toContain('type="range"');
    expect(page).toContain('Taken in the same light.');
  });

  it('over time are the first and the newest, and say when the light was another', () => {
    const dark = { leftPercent: 30, rightPercent: 30 };
    const page = shown(pictures('letters', photo(1), photo(2), photo(3, { light: dark })));
    expect(page).toContain('Pictures, first and newest');
    expect(page).toContain('3 May 2026, before');
    expect(page).not.toContain('2 May 2026');
    expect(page).toContain('The later one is 30 % darker');
  });

  it('are not shown of whoever wants none, was not asked, or has one only', () => {
    expect(shown(pictures('refused', ...both), 1)).toBe('');
    expect(shown(pictures(null, ...both), 1)).toBe('');
    expect(shown(pictures('record', photo(1)))).toBe('');
    expect(shown(pictures('record', ...both), 7)).toBe('');
  });
});

describe('taking a picture', () => {
  it('shows the last one half-seen under a grid, and offers no camera before the browser is known', () => {
    const page = renderToStaticMarkup(
      <PictureIntake visitId={5} clientId={3} phase="before" pose="front" last={photo(1)} onKept={nothing} />,
    );
    expect(page).toContain('alt="Last time, front"');
    expect(page).toContain('Stand as in the last picture');
    expect(page).toContain('<svg');
    expect(page).not.toContain('Use the camera');
  });

  it('says what the first of a view lacks', () => {
    const page = renderToStaticMarkup(
      <PictureIntake visitId={5} clientId={3} phase="before" pose="back" last={undefined} onKept={nothing} />,
    );
    expect(page).toContain('No picture of this view yet.');
    expect(page).not.toContain('alt="Last time');
  });
});

describe('the light while a picture is taken', () => {
  const line = (before: PhotoView['light'], now: PhotoView['light']) =>
    renderToStaticMarkup(<LightLine before={before} now={now} />);

  it('is compared with the last picture, where there is one', () => {
    expect(line(null, even)).toContain('Light 60 % of white.');
    expect(line(even, even)).toContain('as last time');
    expect(line(even, { leftPercent: 40, rightPercent: 40 })).toContain('20 % darker than last time');
    expect(line(even, { leftPercent: 90, rightPercent: 90 })).toContain('30 % brighter');
    expect(line({ leftPercent: 80, rightPercent: 40 }, { leftPercent: 40, rightPercent: 80 })).toContain(
      'another side',
    );
  });

  it('is not told of what is not seen yet', () => expect(line(even, null)).toBe(''));
});
