// Digests of what the stand-ins are made of now. A run keeps those that it met, as evidence; a test holds these to what is built.

/** The records of each release: canonical JSON. */
export const DATA_DIGESTS: Readonly<Record<string, string>> = {
  'fernhollow@2026-03': 'e61bc9b372c9ae068ee5066ec2f9fd46460c33517bd578fe3d29dab692712ae5',
  'fernhollow@2026-09': '9ee8884783ffe2c5515a84c8717af841ce1fc40e78003b4807bb884f3dd0a2fe',
  'girder@2026-03': '24f4c2fa6d94567244d1857374432ed647cb8b5d59b4c88e1279c500b9004f65',
  'girder@2026-09': '28e7f8371265b3a000090b82bc8d8417b81a7e6c0315c8c9cc8966e611831aa5',
  'mindmere@2026-03': '74a5b65707c19bd0756b0c89d4a30b5b71c15d7cd72889f6248a50a604bb8128',
  'mindmere@2026-09': '68d6d8247f1934e5121d9f15b29e8d4072b88e05c0b325fa3300faffc889610d',
  'wideband@2026-03': '8b16aefcd6f345f795247ae75fb54c2ba658b32c39fda8772657e10ad139497f',
  'wideband@2026-09': '8e3b60ee8ba7e587cdda19e6ed9a88a7eda714a9ed735bfa65b70fa482cc30f1',
  'quayside@2026-03': '9c7cc9a5e25351a02bda7e57ea304c518c6c9422c27a32b4e7a87a0f827135fd',
  'quayside@2026-09': '01a821f9323cb5c72cbf523fc33980f4ce2376912ca29ab7800972cd2842dfe4',
}

/** The same as the files that are built of them: JSON as it is written there, before it is squeezed. */
export const FILE_DIGESTS: Readonly<Record<string, string>> = {
  'fernhollow@2026-03': 'dc05f2ed1039d4e5c57e60a2c950fb23c712910d1c08e2678b15e02e44f0bc38',
  'fernhollow@2026-09': '7a326f540d08655b3ae19a74ae392204e4ad2e5f04a8dfb06cb8e8c171122ea4',
  'girder@2026-03': 'e85f58d302227fdbc08e50beb6f6b5b082663c90fc582d5bcb2b0e6abfbcad5d',
  'girder@2026-09': 'a81bd86903a79dc0245e2454dd3c5757f508c1f8958ffa5e64654e8ce2e6eede',
  'mindmere@2026-03': 'a04b0ee6148094720555f8acbff5a22b30e958242b8ab1ac59b0285726c6254c',
  'mindmere@2026-09': '0f5f8a25aedd2d26c9079f97e8d8520a49213a1756dcfded02351f21ec1bfb92',
  'wideband@2026-03': '14983ec9efc3e2471f3e12873bf39dd6fc5effd5e919caea85bfb2b356bdd298',
  'wideband@2026-09': '2ddafcb85a16ae6d9f0bbc5e1e16924105e23dbc651a2fc0c829b21ad3b677c7',
  'quayside@2026-03': 'ed1ffe5ecc19f30bb9b0ecb9ee8b6831433f7a5d28927ccf4b9be5b378a36522',
  'quayside@2026-09': '6ec0a72d0f5646397d845c52ac1c64095e3be532450cf721933209d06d1bf67d',
}

/** The vocabularies: as SKOS is written. */
export const VOCABULARY_DIGESTS: Readonly<Record<string, string>> = {
  fernhollow: '5f08b9d1322ed03b80c924a9a43b366d5f39a0f6b61573fbccf787b920ca43c3',
  girder: '55988cf5bbdc8845c567c03b935d141bef4ff2e61e1b68c6a452d51e86d30889',
  mindmere: '6afffd984be3473c3bece87a91a76312db4c0df9e65fa48710ec596aecd9a908',
}
