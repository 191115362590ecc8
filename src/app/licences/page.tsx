import { readFileSync } from 'node:fs'
import path from 'node:path'
import type { Metadata } from 'next'
import Link from 'next/link'
import packages from './packages.json'

export const metadata: Metadata = { title: 'Licences · Luvren' }

/** What is said of others' work, paragraph by paragraph: the file NOTICE, read when the page is made. */
const notices = readFileSync(path.join(process.cwd(), 'NOTICE'), 'utf8')
  .split(/\n\s*\n/)
  .map((p) => p.replace(/\s+/g, ' ').trim())
  .filter(Boolean)

/** Whose work Luvren is made of, and under which licences: some ask to be named on the screen. */
export default function Licences() {
  return (
    <main className="shelf">
      <h1>Licences</h1>
      {notices.map((words) => (
        <p key={words} className="licence-words">
          {words}
        </p>
      ))}
      <h2>Packages that ship with it</h2>
      <table className="licences">
        <thead>
          <tr>
            <th scope="col">Package</th>
            <th scope="col">Version</th>
            <th scope="col">Licence</th>
          </tr>
        </thead>
        <tbody>
          {packages.map(({ name, version, licence }) => (
            <tr key={`${name} ${version}`}>
              <td>{name}</td>
              <td className="number">{version}</td>
              <td>{licence}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        <Link href="/">To the shelf</Link>
      </p>
    </main>
  )
}
