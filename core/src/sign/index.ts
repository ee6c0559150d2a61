export { withSigns, type Sent, type Signed } from './apply';
export {
  AGAIN_MOST,
  extentM2,
  offersAt,
  placeOf,
  seenAt,
  seenTold,
  signsAt,
  SPOT_M2,
  type Offer,
  type Seen,
  type SeenAt,
  type SeenTold,
} from './seen';
export {
  LOOK_FIGURES,
  LOOK_GROUNDS,
  LOOK_TOOLS,
  SIGN_DATA,
  SIGN_PLACES,
  SIGN_ROLES,
  type Act,
  type SignLook,
  type SignPlace,
  type SignRole,
  type SignSpec,
} from './signs';
