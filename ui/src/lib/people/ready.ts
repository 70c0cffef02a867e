/** How a device is made ready to trust the authority of the floor, by its kind, step by step. */
export type Drawn = 'take' | 'choose' | 'compare' | 'switch' | 'closed'

interface Step {
  drawn: Drawn
  words: string
}

interface Kind {
  code: string
  name: string
  steps: Step[]
}

const compared: Step = {
  drawn: 'compare',
  words: 'Where it shows the certificate’s SHA-256 print, compare that with the one above: the same, or leave it.'
}
const closed: Step = {
  drawn: 'closed',
  words: 'Close this page and open the address again: no warning comes, and the lock in the address is closed.'
}

export const KINDS: readonly Kind[] = [
  {
    code: 'profiles',
    name: 'Tablet or phone that takes profiles',
    steps: [
      { drawn: 'take', words: 'Tap “Take the certificate” and let it be taken as a profile.' },
      { drawn: 'choose', words: 'In the settings the profile stands near the top: open it, and install it.' },
      compared,
      {
        drawn: 'switch',
        words:
          'In the settings, where the device tells about itself, open what certificates it trusts and switch on “Libella authority”.'
      },
      closed
    ]
  },
  {
    code: 'store',
    name: 'Tablet or phone with a store for credentials',
    steps: [
      { drawn: 'take', words: 'Tap “Take the certificate”: it is among what was downloaded.' },
      {
        drawn: 'choose',
        words:
          'In the settings, under security, choose to install a certificate, of an authority (CA), and take that file.'
      },
      compared,
      closed
    ]
  },
  {
    code: 'computer',
    name: 'Computer',
    steps: [
      { drawn: 'take', words: 'Take the certificate and open the file: the system’s store for keys comes up.' },
      compared,
      { drawn: 'choose', words: 'Put it among the root authorities, not among your own certificates.' },
      { drawn: 'switch', words: 'Where it asks for what: always trusted, for web sites.' },
      closed
    ]
  },
  {
    code: 'browser',
    name: 'Browser with a list of its own',
    steps: [
      { drawn: 'take', words: 'Take the certificate.' },
      {
        drawn: 'choose',
        words: 'In the browser’s settings, under certificates, open the authorities and import that file.'
      },
      compared,
      { drawn: 'switch', words: 'Tick that it vouches for web sites, and for nothing else.' },
      closed
    ]
  }
]
