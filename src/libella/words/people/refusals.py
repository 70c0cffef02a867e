"""Why nobody comes in, or an account can't be as it was told."""

from typing import Final

from ..shared.refusals import Template

REFUSALS: Final[dict[str, Template]] = {
    "passphrase_length": ("A passphrase is long: a few words are.", "{shortest} to {longest} characters"),
    "passphrase_guessed": (
        "This one is soon guessed: it is among those that are tried first, or made of names everybody here knows.",
        "four words that have nothing to do with each other, say",
    ),
    "passphrase_now": ("That is not the passphrase in use.", "the one you sign in with now"),
    "golfer_of_account": ("A golfer’s account is of one golfer, and no other account is.", "a golfer"),
    "kept_years": ("Golfers are kept for whole years.", "{least} to {most} years, or none"),
    "same_golfer": ("These are the same golfer already.", "another golfer"),
    "invented_and_real": ("An invented golfer and a real one can’t be one.", "two who are both real"),
    "too_many_preferences": ("That is more than is remembered of anybody.", "at most {most}"),
}
CONFLICTS: Final[dict[str, Template]] = {
    "consent": ("An answer with this id is kept already and is another one.", "Keep it as a new one."),
    "guardian_answers": ("A minor’s guardian answers this.", "Ask the guardian, and note it as theirs."),
    "refused_filming": (
        "It was not agreed to be photographed, or that was withdrawn.",
        "Ask anew under “What is agreed” of the golfer, if something has changed.",
    ),
    "screen_ended": ("The screen “{name}” was taken away.", "Let it in as a new one."),
    "two_accounts": (
        "Both have an account, and a golfer comes in by one.",
        "Change whose one of the accounts is, on People, then join them.",
    ),
    "golfer_joined": ("This golfer is kept as “{name}” since.", "Change it there."),
    "other_name": ("That is not the name of this golfer.", "Write it as it stands: “{name}”."),
    "account_name": ("Somebody signs in as “{name}” already.", "Choose another name."),
    "studio_begun": ("This studio was begun by somebody already.", "Its owner names it, on People."),
    "account_locked": ("“{name}” is locked.", "Let it in again first."),
    "passkey_here": (
        "A passkey is of a name, and this is opened by a number.",
        "Open it by its name: “Make this device ready” shows which it has.",
    ),
    "passkeys": ("There are {most} passkeys of this account.", "Take one away first."),
    "passkey_not_made": ("What the device told is no passkey that could be asked again.", "Try once more from here."),
    "last_owner": (
        "This is the only owner who can come in; somebody has to be.",
        "Make another owner first, who has begun his account.",
    ),
}
SIGN_IN: Final[dict[str, Template]] = {
    "not_signed_in": ("Nobody is signed in here, or not any more.", "Sign in; what waits on this device stays."),
    "not_allowed": ("This is not among what your role may do.", "Ask the owner of the studio."),
    "prove": ("This is asked again of whoever is signed in.", "Give your passphrase or your passkey once more."),
    "not_proved": ("That is not the passphrase in use.", "It is the one you signed in with."),
    "wrong": ("The name, or what goes with it, is not right.", "Look at both once more."),
    "wrong_passkey": (
        "This passkey opens nothing here: it was taken away, or made for another studio, or it waited too long.",
        "Try once more, or sign in by name and passphrase.",
    ),
    "too_many": (
        "So much was wrong in a quarter of an hour that no more is looked at.",
        "Wait a quarter of an hour, or ask the owner for a new link.",
    ),
}
"""What is told to whoever may not come in: what happened, and what to do."""
TITLES: Final[dict[str, str]] = {
    "not_signed_in": "Not signed in",
    "not_allowed": "Not for this role",
    "prove": "Your passphrase, once more",
    "not_proved": "Not your passphrase",
    "wrong": "Not signed in",
    "wrong_passkey": "Not signed in",
    "too_many": "Too many tries",
}
