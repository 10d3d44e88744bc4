import type { FileKind, FileRef } from './ref';

/** A file that ships with the program. It is never changed: another would have another hash, and pieces name these. */
export interface StockFile extends FileRef {
  kind: FileKind;
  /** in the folder stock */
  path: string;
  /** of a font: a file beside it with letters that it lacks, of the languages of eastern Europe */
  more?: string;
}

const shipped =
  (kind: FileKind, folder: string) =>
  (name: string, path: string, hash: string): StockFile => ({
    kind,
    name,
    path: `${folder}/${path}`,
    hash,
    ...(kind === 'font' ? { more: `${folder}/${path.replace('.woff2', '.more.woff2')}` } : {}),
  });
const font = shipped('font', 'fonts');
const mark = shipped('mark', 'marks');
const picture = shipped('picture', 'pictures');
const clip = shipped('clip', 'clips');
const table = shipped('table', 'tables');
const model = shipped('model', 'models');
const motion = shipped('motion', 'motions');

/** Everything that ships, in the order it is offered. */
export const STOCK: readonly StockFile[] = [
  font('Anton', 'anton.woff2', 'd0fa07ff63dd60cbc0e2f58e29c802dca2a5ae0276c999f59c6111ab7bbaec3b'),
  font('Spectral', 'spectral.woff2', '33faca8b5795a0de1af77cbc43a050a3655c4b1e03e04847fdef4d19d2e361d2'),
  font('Unbounded', 'unbounded.woff2', '477fa23002517a32f232316d859e7b672a044f20073babec8ed3dbcfdb8e041a'),
  font('Space Mono', 'space-mono.woff2', '2d46bd159b53f55c41167a4f1540a074649464194fd1e416f5b4694a6c0f282c'),
  font('Saira Stencil', 'saira-stencil.woff2', 'cd6d5dfdb860075088697dc0c14d1cbe473afe5cf1435c01f21c884a60efd893'),
  mark('Lamp of the week', 'lamp.svg', 'f73adf5dca32d1ca14528143b24eb9f51a580f3875762dcac0836638d341a9d3'),
  mark('Tide gauge', 'tide.svg', 'bb1ac5e556a560ad8e03421172f94f8e9b2d666a98209968a05955d137f47586'),
  picture('Depth soundings', 'depth-soundings.svg', '07100cf550881590d091f05ae806941a3566b223d63ddf7051c4fbc7bf0352f2'),
  picture('Tide table', 'tide-table.svg', '6fc91c1d73570725268791a9dca7c69b6dc2a9c4dda6c08c66479ee6280e6d3c'),
  picture('Berth numbers', 'berth-numbers.svg', 'e8bb4f39a7ce7afae2e8c3df2e90e1357977b089912a1feb850e0f0bb692cc0d'),
  picture('Harbour plan', 'harbour-plan.svg', 'b9719b5b232dda141acebbff75050a34e906608d52c35f4d434027f56f906e88'),
  picture('Gauge dial', 'gauge-dial.svg', '271311db2fbbad6523eb12d9d55fe0dbe2b32a0be344a16ca794708819b5457e'),
  picture('Week flags', 'week-flags.svg', '0f773d6d72c0c2e8604c8179511d279f52e5b8d0f33535294ef45c0cf1576bb9'),
  picture(
    'Weathered planks',
    'weathered-planks.webp',
    'f286e61284a4ebab3240df62aa5590fdb5ecff0ae24ab858086df49c9dc97ce9',
  ),
  picture('Rope weave', 'rope-weave.webp', '3b26aacf5b26c6f0026758c03c4cd532af4acba72b2539c9abd7c8d9d59ec7c4'),
  picture('Salt crystals', 'salt-crystals.webp', 'b57caeaf34257c25894a65da8f608c95050d1c8dc81ea1db5a35f9f5aff395da'),
  picture('Net and floats', 'net-and-floats.webp', '6c69463ae3090c7a6787c8189fb7a632fa47f928f74139b1df791f596fff9d7b'),
  clip('Tide chart', 'tide-chart.mp4', '91b24dd06ffc35b6f57193c572c2a70bc6793e5c6cb513939f11549cad48fda1'),
  clip('Signal flags', 'signal-flags.webm', '6069f7ce879e92e628c79d06f290833b154b797c71ddd68aa5fc8f3983689cf9'),
  clip('Scanning beam', 'scanning-beam.mp4', 'c51059e3d2e166f36fe9cad1effc33051a8c6d92b5b2cec369c1e6904acc27b6'),
  table('Sodium quay', 'sodium-quay.cube', '5e88147b4064bb5ec0ac21d5a33a51271c5c6a589f7f68f9b3271b3d16ec162c'),
  table('Night watch', 'night-watch.cube', 'd4cc8f5b8542a6b53c07329c54876763b6cde616a03501d110cbbc4df14ef553'),
  table('Faded chart', 'faded-chart.cube', '1184acdd68536f168480d362db7eaa2cb262fbafd7d0c3946b2850efede2a1d2'),
  table('Buoy paint', 'buoy-paint.cube', 'bbc6789fb6fcf89e36f20cb2517a452ed4d4e813041fe3cc84c9c62f7bc24a61'),
  clip('Lamp test', 'lamp-test.webm', 'f425e2f089b7e946ecede8126d1406d13c5b903f9613a35a4531eb6d7dc5b9ba'),
  model('Capstan', 'capstan.glb', '5797f0382e01a380e0d9dcded9f0ee2f7aea61c4594da502946cd96910e0b9ff'),
  model('Bollard', 'bollard.glb', '0dad983bcb8a21010854f24c9e27e8595fadb8341e2f13d4a00cc1124c29a805'),
  model('Cleat', 'cleat.glb', 'fa0edb8610974fe9bdfdfab5cf02f6741b553d3ec478e379e53d8cf3392b3196'),
  model('Bulkhead lamp', 'bulkhead-lamp.glb', 'be86bc9cf2c0d9f884b34d5f108be2abc66a038dc0000ce1dfd70d79a1dd2dba'),
  model('Storm lantern', 'storm-lantern.glb', '22394bffbfda8f8e657215910fa273e9bba36d517184e419bc517653fcd65b88'),
  model('Grating', 'grating.glb', 'd159d09135872fe2a88ec94833c962e5fdc405ce1898eb070795e88f9cbed4cc'),
  model('Pulley block', 'pulley-block.glb', '61a41897a8fbf7c5a2282250e945d7683018a21280b2438079db96b81ca46b5c'),
  model('Hatch frame', 'hatch-frame.glb', '82da1d386beb48bf9cc479b96fd4e4b47b8b9ad858c4fa430e1cf35961a8a857'),
  model('Shackle', 'shackle.glb', 'e6d1394427d047d5635d2e7162f2a06ee0b3dcb769b29503276a6820070be9b2'),
  model('Fairlead', 'fairlead.glb', 'a01470ef66b3196310f683e60de7223de5c8f42552d09619c40d55628c30d067'),
  model('Chain', 'chain.glb', 'bf5f7c3af11713eb1fc07c7ede52bfbbfea81edcbbaba7ce39ea54b53b122914'),
  model('Ring buoy', 'ring-buoy.glb', '2da89af4efa92f025c4240ee42848cbbd04558136892337722a794a0a952d75c'),
  motion('Walking', 'walking.bvh', 'ac2509e089fad14b260f3d2c8adf273b52b3c1775755311ca799305c252167aa'),
  motion('Tumbling', 'tumbling.bvh', 'f100cdce808ad62a62997e7f832a25febd6eeba4709acc2439d260eb32997f86'),
  motion('Mannequin', 'mannequin.bvh', '043a8cdc4d8d4a1e3d1b99d7b2a0e4656cce5dc1b443ee87218bca468fd01ea5'),
];

/** A file that ships, by its name. @throws RangeError when there is none */
export function stockFile(name: string): FileRef {
  const found = STOCK.find((file) => file.name === name);
  if (!found) throw new RangeError(`no file called ${name} ships`);
  return { hash: found.hash, name };
}
