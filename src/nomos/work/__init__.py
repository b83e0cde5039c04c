"""Ask once: what window, command line and packet all ask, each answer worked out from its request alone."""

from nomos.work.answers import Answers
from nomos.work.request import Ask, Request, held
