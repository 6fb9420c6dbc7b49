package mensor.scan;

/** How both members bend. */
record MemberBows(MemberBow a, MemberBow b) {}
