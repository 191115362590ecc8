// Digests of what the stand-ins are made of. A run keeps those that it met, as evidence; see docs/design.md, Runs.

/** The records of each release as they were under the first form of the journal: canonical JSON. */
export const FIRST_HALF_DATA: Readonly<Record<string, string>> = {
  'fernhollow@2026-03': '51366dd69d91dd7d469a2418fa53e88fc9286ccfe59f7ee694baa8c5fe52734c',
  'fernhollow@2026-09': 'd4d9272af7be2b4a24f838774ead71fceb0f8230e8ff3f886f380cbb1b7ca0c0',
  'girder@2026-03': 'e2cf809424eda2a3810da1eabceaa03e0724be4b275eb705a26e4f558eefc3f4',
  'girder@2026-09': '59972e33e15b5c663761fd915f324d2be961ac30e0ad46dcfb56476f5eb24585',
  'mindmere@2026-03': '0e03957987b8f2f86b33542a0f62a8e50c1fe39e74ebeed4888f75564ef03950',
  'mindmere@2026-09': 'a0ef9ffc6006c8c8dc3cabb06ff164f37adf8e3fe7c33215cf57370b2b59ef99',
  'wideband@2026-03': '46ad12f7e8ef58e477f7ff8a9c4b1b142ad61e953acb9d28a0af8f09a2f8e11e',
  'wideband@2026-09': 'd2f2fbe34bd4e645217a12fb8bbadab7bcae1b87903e25d31e5ddaa18958c195',
  'quayside@2026-03': '8e8699ec902d32384e63e18289aede463e660e6d10269d150383f970613e2f71',
  'quayside@2026-09': 'e1cffa68318cbd1011a8403d82832bfce960b905bbd8f12a469eb87f46b6ea47',
}

/** The profiles of that time: canonical JSON. */
export const FIRST_HALF_PROFILES: Readonly<Record<string, string>> = {
  fernhollow: '95f29935baea75dc1ff0de319f015e7ccd3dcab8f491cc0b91ac0192822a94a4',
  girder: '46dc3ed01e46d268ec66b92dc66a6d067400dd0348b7f4b79527590ea5b654f1',
  mindmere: '0f2619b3e50d901b5147164c2306d3469793b3ef1c3dee37c97a7e7bf838247a',
  wideband: 'a9a402eb13563e0a021b7bb3252a1f9073d5bf058588dcde2ac82bcc52742d81',
  quayside: '166ad0454a37c27c2c25b0991f7f7d172963d7abba2b52264f074dc9c3d2587a',
}

/** The vocabularies of that time: as SKOS is written. */
export const FIRST_HALF_VOCABULARIES: Readonly<Record<string, string>> = {
  fernhollow: '5f08b9d1322ed03b80c924a9a43b366d5f39a0f6b61573fbccf787b920ca43c3',
  girder: '55988cf5bbdc8845c567c03b935d141bef4ff2e61e1b68c6a452d51e86d30889',
  mindmere: '6afffd984be3473c3bece87a91a76312db4c0df9e65fa48710ec596aecd9a908',
}
