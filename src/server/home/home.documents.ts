import { HomeWish } from '../../contracts/home';
import { HomeSheetShape } from '../../contracts/shapes/homecare';
import { jsonColumn } from '../db/json-column';

export const wishColumn = jsonColumn('home_sheet.wish_json', HomeWish);
export const sheetColumn = jsonColumn('home_sheet.sheet_json', HomeSheetShape);
