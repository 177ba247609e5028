/**
 * `node bin/notices.mjs FOLDER`: what Lea is shipped with. Writes a software bill of materials (CycloneDX 1.5, JSON) and the notices of third
 * parties with the texts of their licences, both read off the lock file and what is installed. Part of the build: neither is kept in the
 * repository, so neither can be out of date. Nothing is asked of a network.
 */
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const folder = process.argv[2]
if (!folder) {
  console.error('lea: into which folder? node bin/notices.mjs FOLDER')
  process.exit(2)
}
const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'))
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'))

/** Tools of the makers of which a part ends up in the pages: pictures, the reset of styles, the service worker. */
const IN_THE_PAGES =
  /node_modules\/(@iconify-json\/fluent-emoji-flat|tailwindcss|workbox-(core|precaching|routing|strategies|cacheable-response|expiration))$/
const nameOf = (path) => path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)

const packages = Object.entries(lock.packages)
  .filter(([path, entry]) => path.includes('node_modules/') && !entry.link)
  .filter(([path, entry]) => (!entry.dev && !entry.devOptional) || IN_THE_PAGES.test(path))
  // What is for another kind of machine is not installed here, and not shipped from here.
  .filter(([path]) => existsSync(join(root, path)))
  .map(([path, entry]) => {
    const own = JSON.parse(readFileSync(join(root, path, 'package.json'), 'utf8'))
    return {
      path: join(root, path),
      name: nameOf(path),
      version: entry.version,
      integrity: entry.integrity,
      own,
    }
  })
  .sort((a, b) => (a.name + a.version < b.name + b.version ? -1 : 1))
const once = [...new Map(packages.map((p) => [`${p.name}@${p.version}`, p])).values()]

const LICENCE_FILE = /^(licen[cs]e|copying|notice)([.-].*)?$/i
/** Where a package has no field for it: read in its own file. */
const READ = { 'png-js': 'MIT' }
const licenceOf = ({ name, own }) => {
  const said = typeof own.license === 'string' ? own.license : own.license?.type
  return said ?? own.licenses?.map((l) => l.type).join(' OR ') ?? READ[name] ?? ''
}
const textsOf = ({ path }) =>
  readdirSync(path, { withFileTypes: true })
    .filter((f) => f.isFile() && LICENCE_FILE.test(f.name))
    .map((f) => readFileSync(join(path, f.name), 'utf8').trim())

const unknown = once.filter((p) => licenceOf(p) === '')
if (unknown.length > 0) {
  console.error(`lea: no licence is known of ${unknown.map((p) => p.name).join(', ')}`)
  process.exit(1)
}

const purl = ({ name, version: v }) => `pkg:npm/${name.replace('@', '%40')}@${v}`
const isExpression = (licence) => /\s(OR|AND|WITH)\s|^\(/.test(licence)
writeFileSync(
  join(folder, 'sbom.cdx.json'),
  `${JSON.stringify(
    {
      bomFormat: 'CycloneDX',
      specVersion: '1.5',
      version: 1,
      metadata: {
        component: { type: 'application', name: 'lea', version, licenses: [{ license: { id: 'MIT' } }] },
      },
      components: once.map((p) => {
        const licence = licenceOf(p)
        const [algorithm, digest] = (p.integrity ?? '').split(/-(.*)/)
        return {
          type: 'library',
          'bom-ref': purl(p),
          name: p.name,
          version: p.version,
          purl: purl(p),
          licenses: [isExpression(licence) ? { expression: licence } : { license: { id: licence } }],
          ...(algorithm === 'sha512' && {
            hashes: [{ alg: 'SHA-512', content: Buffer.from(digest, 'base64').toString('hex') }],
          }),
        }
      }),
    },
    null,
    1,
  )}\n`,
)
writeFileSync(
  join(folder, 'third-party-notices.txt'),
  [
    `Lea ${version} is shipped with the works of others, named here with the terms they are under.`,
    ...once.map((p) => [`${p.name} ${p.version}\n${licenceOf(p)}`, ...textsOf(p)].join('\n\n')),
  ].join(`\n\n${'-'.repeat(78)}\n\n`) + '\n',
)
console.log(`lea: ${once.length} packages in sbom.cdx.json and third-party-notices.txt`)
