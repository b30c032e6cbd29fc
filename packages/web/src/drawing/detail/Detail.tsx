import type { Place } from '@nodo/knowledge';
import type { ComponentType } from 'react';
import { BobbinDetail, CaseDetail, HookDetail } from './below.tsx';
import type { DetailProps } from './kit.tsx';
import { ClampDetail, NeedleDetail } from './needle.tsx';
import { FeedDetail, FootDetail, PlateDetail } from './plate.tsx';
import { DiscsDetail, SpoolDetail } from './thread.tsx';

/** What a place looks like from near; a place without one is shown on the machine alone. */
const DETAILS: Readonly<Partial<Record<Place, ComponentType<DetailProps>>>> = {
  spool: SpoolDetail,
  discs: DiscsDetail,
  'needle-clamp': ClampDetail,
  needle: NeedleDetail,
  bobbin: BobbinDetail,
  case: CaseDetail,
  hook: HookDetail,
  plate: PlateDetail,
  feed: FeedDetail,
  foot: FootDetail,
};

/** Whether a place has a drawing from near. */
export function hasDetail(place: Place): boolean {
  return place in DETAILS;
}

export function Detail(props: DetailProps) {
  const Drawing = DETAILS[props.place];
  return Drawing ? <Drawing {...props} /> : null;
}
