import { IsPlainText } from '../fields/hiddenCharacters.ts';
import { IsBoolean, IsString, Length, Matches } from 'class-validator';

/** Opens the program to the workshop network, or closes it. */
export class PairingMessage {
  /** true opens it */
  @IsBoolean()
  open: boolean;
}

/** A device that wants to be paired. */
export class PairMessage {
  /** as it stands on the computer that the program runs on */
  @IsString()
  @Matches(/^[A-Z0-9]{4,20}$/, { message: 'type the code as shown there' })
  code: string;

  /** what the device is called */
  @IsString()
  @Length(1, 40, { message: 'say what this device is called, in 1 to 40 letters' })
  @IsPlainText()
  name: string;
}
