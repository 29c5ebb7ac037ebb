import { HttpError } from '../errors.js'
import { passwordFault } from '../passwords.js'
import { refusal } from '../words.js'

/** A new password that is not taken is refused at its field, with the reason. */
export function checkPassword(password: string, login: string, field = 'password'): void {
  const fault = passwordFault(password, login)
  if (fault) throw new HttpError(422, 'bad-password', refusal(`refused-password-${fault}`), field)
}
