import { useState } from 'react'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { PageMain, Row, Sheet, Soft } from '~/ui/page'
import { formatLengthWithUnit, inches, type Length, nanometers } from '~/length'

const FORMAT = { units: 'inches', tape: '1/32' } as const

async function press(
  device: 'laser' | 'finder',
  body: unknown,
): Promise<{ value?: Length; edges?: unknown[] } | null> {
  try {
    const response = await fetch(`/devices/${device}/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    const answer = (await response.json()) as { delivery?: { value?: Length; edges?: unknown[] } }
    return answer.delivery ?? null
  } catch {
    return null
  }
}

/** The stand-in laser: aimed at a true distance, it delivers a reading with the spread a real one has. */
function Laser() {
  const [aimedAt, setAimedAt] = useState<Length>(inches(142.25))
  const [said, setSaid] = useState('Nothing measured yet.')
  return (
    <Sheet aria-label="Laser distance meter">
      <h2>Laser distance meter</h2>
      <LengthField
        label="It is aimed at, truly"
        value={aimedAt}
        format={FORMAT}
        onChange={setAimedAt}
        least={inches(1)}
      />
      <Row>
        <Button
          $kind="main"
          onPress={async () => {
            const delivery = await press('laser', { aimedAt })
            setSaid(
              delivery?.value === undefined
                ? 'The server can’t be reached.'
                : `Read ${formatLengthWithUnit(delivery.value, FORMAT)} and sent it on.`,
            )
          }}
        >
          Measure
        </Button>
        <p role="status">
          <Fractions text={said} />
        </p>
      </Row>
    </Sheet>
  )
}

/** The stand-in stud finder: swept over true studs, it calls out edges with noise and now and then misses one. */
function Finder() {
  const [first, setFirst] = useState<Length>(inches(14.5))
  const [spacing, setSpacing] = useState<Length>(inches(16))
  const [width, setWidth] = useState<Length>(inches(142.25))
  const [said, setSaid] = useState('Not swept yet.')
  return (
    <Sheet aria-label="Stud finder">
      <h2>Stud finder</h2>
      <LengthField label="True middle of the first stud" value={first} format={FORMAT} onChange={setFirst} />
      <LengthField
        label="True spacing"
        value={spacing}
        format={FORMAT}
        onChange={setSpacing}
        least={inches(4)}
      />
      <LengthField
        label="Swept from the left corner to"
        value={width}
        format={FORMAT}
        onChange={setWidth}
        least={inches(1)}
      />
      <Row>
        <Button
          $kind="main"
          onPress={async () => {
            const count = Math.min(200, Math.max(0, Math.floor((width - first) / spacing) + 1))
            const studs = Array.from({ length: count }, (_, i) => nanometers(first + i * spacing))
            const delivery = await press('finder', { studs })
            setSaid(
              delivery ? `Called out ${delivery.edges?.length ?? 0} edges.` : 'The server can’t be reached.',
            )
          }}
        >
          Sweep along the wall
        </Button>
        <p role="status">{said}</p>
      </Row>
    </Sheet>
  )
}

/** Stand-ins for devices, to try the fields that wait for them. A real one posts to the same addresses. */
export function DevicesPage() {
  return (
    <PageMain>
      <h1>Stand-in devices</h1>
      <Soft>
        Simulated, for trying out. On a wall’s Measure stage let a field wait for the device, then press here.
        A real device posts to the same addresses on this machine.
      </Soft>
      <Laser />
      <Finder />
    </PageMain>
  )
}
