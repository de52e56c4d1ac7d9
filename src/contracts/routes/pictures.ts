import { z } from 'zod';
import { poses } from '../../core/pictures/poses';
import { PhotoView, PictureAnswerInput, PicturesView } from '../picture-views';
import { largestFileBytes } from './clients';
import { ClientNumber, get, post, put, saved, VisitNumber } from './route';

/** Photographs of a client, which never leave the house unless they agree to it. */
export const pictureRoutes = {
  readPictures: get('/api/clients/{id}/pictures', {
    who: 'therapist',
    what: 'client',
    summary: 'What a client has said about pictures, and those on record.',
    params: { id: ClientNumber },
    answer: PicturesView,
  }),
  answerPictures: put('/api/clients/{id}/pictures', {
    who: 'therapist',
    what: 'client',
    summary: 'Stores what a client has said about pictures; with `isErasing` a refusal removes those on record.',
    params: { id: ClientNumber },
    body: PictureAnswerInput,
    answer: saved({ pictures: PicturesView }),
    audit: ['pictures agreed or refused', 'file removed'],
  }),
  savePhoto: post('/api/visits/{id}/photos', {
    who: 'therapist',
    what: 'visit',
    summary: 'Keeps a photograph, the body being the picture; only of a client who has agreed.',
    params: { id: VisitNumber },
    query: { pose: z.enum(poses), phase: z.enum(['before', 'after']) },
    body: { bytes: { most: largestFileBytes, what: 'The picture itself.' } },
    answer: saved({ photo: PhotoView }),
    audit: ['file added'],
  }),
} as const;
