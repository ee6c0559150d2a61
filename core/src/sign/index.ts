export { withSigns, type Sent, type Signed } from './apply';
export { AGAIN_MOST, extentM2, offersAt, placeOf, seenAt, seenTold, signsAt, SPOT_M2, type Offer, type Seen, type SeenTold } from './seen';
