import { backdrop } from './backdrop/backdrop';
import { copies } from './copies/copies';
import { field } from './field/field';
import { figure } from './figure/figure';
import { ground } from './ground/ground';
import { impossible } from './impossible/impossible';
import { links } from './links/links';
import { plants } from './plants/plants';
import { stream } from './stream/stream';
import { screen } from './screen/screen';
import { title } from './title/title';
import { tunnel } from './tunnel/tunnel';

/** Every kind of layer, in the order they are offered. A new kind is a folder and its name here. */
export const LIST = [
  field,
  tunnel,
  copies,
  figure,
  links,
  stream,
  ground,
  plants,
  title,
  screen,
  impossible,
  backdrop,
] as const;
