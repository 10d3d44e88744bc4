import { appear } from './appear/appear';
import { bend } from './bend/bend';
import { disorder } from './disorder/disorder';
import { drift } from './drift/drift';
import { face } from './face/face';
import { leap } from './leap/leap';
import { pulse } from './pulse/pulse';
import { shatter } from './shatter/shatter';
import { snap } from './snap/snap';
import { stagger } from './stagger/stagger';
import { stand } from './stand/stand';
import { taper } from './taper/taper';
import { trails } from './trails/trails';
import { turn } from './turn/turn';
import { twist } from './twist/twist';
import { wave } from './wave/wave';

/** Every kind of treatment, in the order they are offered. A new kind is a folder and its name here. */
export const LIST = [
  disorder,
  drift,
  turn,
  stagger,
  leap,
  appear,
  pulse,
  face,
  stand,
  twist,
  bend,
  taper,
  wave,
  shatter,
  trails,
  snap,
] as const;
