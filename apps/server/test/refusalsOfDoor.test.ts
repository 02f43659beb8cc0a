import { beforeAll } from '@jest/globals'
import { v7 } from 'uuid'
import { Browser, owner, setupCode } from './doorHelp'
import { holdRefusals, nobody, refusingShop, type Refusals } from './refusalHelp'
import { worldOf } from './world'

let seated: Browser
let learner: Browser
const house = { house: 'shut', secure: false, setupCode } as const
const { world, url } = refusingShop('refusals_of_door', undefined, house)
const empty = worldOf('refusals_of_empty', { empty: true, house })
const stranger = new Browser(world)
const newcomer = new Browser(empty)
const ines = () => seated.seat?.person ?? ''
const wil = '019a0000-0000-7000-8000-0000000000a3'

beforeAll(async () => {
  seated = new Browser(world)
  await seated.comeIn('/door/first', owner)
  await seated.ask('put', `/shop/people/${wil}/secrets`).send({ by: ines(), pin: '1357' })
  learner = new Browser(world)
  learner.cookie = seated.cookie
  await learner.sit(wil, '1357')
}, 60_000)

const text = (path: string) => stranger.ask('post', path).type('text/plain').send('x')
const away = { name: 'Somebody', password: 'of a good length' }
const seat = () => ({ person: ines(), pin: '0000' })

const refusals: Refusals = {
  'post /door/first 400': [() => stranger.ask('post', '/door/first').send({ ...owner, pin: 'abcd' }), 'pin'],
  'post /door/first 403': [
    () => newcomer.ask('post', '/door/first').send({ ...owner, code: 'WXYZ-2345' }),
    'not the code',
  ],
  'post /door/first 409': [() => stranger.ask('post', '/door/first').send(owner), 'its owner already'],
  'post /door/first 415': [() => text('/door/first'), 'text/plain'],
  'post /door/join 400': [() => stranger.ask('post', '/door/join').send({ code: 'short', name: 'x' }), 'code'],
  'post /door/join 403': [
    () => stranger.ask('post', '/door/join').send({ code: 'ABCD-EFGH', name: 'x' }),
    'That code is none',
  ],
  'post /door/join 415': [() => text('/door/join'), 'text/plain'],
  'post /door/away 400': [() => stranger.ask('post', '/door/away').send({ name: '' }), 'name'],
  'post /door/away 403': [() => stranger.ask('post', '/door/away').send(away), 'Nobody of that name'],
  'post /door/away 415': [() => text('/door/away'), 'text/plain'],
  'post /door/seats 400': [() => seated.ask('post', '/door/seats').send({ person: 'ines', pin: '1' }), 'person'],
  'post /door/seats 401': [() => stranger.ask('post', '/door/seats').send(seat()), 'is no bench'],
  'post /door/seats 403': [() => seated.ask('post', '/door/seats').send(seat()), 'not the PIN'],
  'post /door/seats 415': [() => text('/door/seats'), 'text/plain'],
  'post /door/seats/end-all 401': [() => stranger.ask('post', '/door/seats/end-all'), 'is no bench'],
  'post /door/seats/end-all 415': [() => text('/door/seats/end-all'), 'text/plain'],
  'delete /door/seats/{id} 401': [() => stranger.ask('delete', `/door/seats/${v7()}`), 'is no bench'],
  'delete /door/seats/{id} 404': [() => seated.ask('delete', `/door/seats/${v7()}`), 'This seat'],
  'put /shop/people/{id}/secrets 400': [
    () => seated.ask('put', `/shop/people/${wil}/secrets`).send({ by: ines(), password: 'short' }),
    'password',
  ],
  'put /shop/people/{id}/secrets 401': [
    () => stranger.ask('put', `/shop/people/${wil}/secrets`).send({ by: wil, pin: '1234' }),
    'is no bench',
  ],
  'put /shop/people/{id}/secrets 403': [
    () => learner.ask('put', `/shop/people/${ines()}/secrets`).send({ by: wil, pin: '1234' }),
    'it takes the owner',
  ],
  'put /shop/people/{id}/secrets 404': [
    () => seated.ask('put', `/shop/people/${nobody}/secrets`).send({ by: ines(), pin: '1234' }),
    'This person',
  ],
  'put /shop/people/{id}/secrets 415': [
    () => seated.ask('put', `/shop/people/${wil}/secrets`).type('text/plain').send('x'),
    'text/plain',
  ],
  'post /shop/benches/code 401': [() => stranger.ask('post', '/shop/benches/code'), 'is no bench'],
  'post /shop/benches/code 403': [() => learner.ask('post', '/shop/benches/code'), 'it takes the owner'],
  'get /shop/benches 401': [() => stranger.ask('get', '/shop/benches'), 'is no bench'],
  'get /shop/benches 403': [() => learner.ask('get', '/shop/benches'), 'it takes the owner'],
  'delete /shop/benches/{id} 401': [() => stranger.ask('delete', `/shop/benches/${v7()}`), 'is no bench'],
  'delete /shop/benches/{id} 403': [() => learner.ask('delete', `/shop/benches/${v7()}`), 'it takes the owner'],
  'delete /shop/benches/{id} 404': [() => seated.ask('delete', `/shop/benches/${v7()}`), 'This bench'],
  'get /shop/audit 400': [() => seated.ask('get', '/shop/audit?cursor=none'), 'cursor'],
  'get /shop/audit 401': [() => stranger.ask('get', '/shop/audit'), 'is no bench'],
  'get /shop/backups 401': [() => stranger.ask('get', '/shop/backups'), 'is no bench'],
  'get /shop/backups 403': [() => learner.ask('get', '/shop/backups'), 'it takes the owner'],
  'get /shop/audit 403': [() => learner.ask('get', '/shop/audit'), 'it takes the owner'],
}

holdRefusals(/^\/(door|shop\/(benches|audit|backups|people\/\{id\}\/secrets))/, refusals, url)
