"""Everything Libella says, read aloud once in a run: it takes a minute, and three tests hold it against something."""

import ast
import fcntl
import importlib
import inspect
import pickle
import pkgutil
from pathlib import Path
from types import CodeType

import pytest

import libella.words as words
from libella.words.aloud import Reading, read_aloud

from ..sweeper import folder_of_run

ROOM = Path(words.__file__).parent
# The guide is read on its own pages, held by tests/words/test_guide.py.
NOT_SENTENCES = {"aloud", "__main__.py", "shared", "guide"}


HEARD = "_said_at"


class Listened(ast.NodeTransformer):
    """The same words, noting where they speak: before every statement that may hold a sentence."""

    def heard_before(self, node):
        self.generic_visit(node)
        note = ast.parse(f"{HEARD}({node.lineno})").body
        for it in note:
            for one in ast.walk(it):
                ast.copy_location(one, node)
        return [*note, node]

    visit_Return = visit_Assign = visit_AugAssign = heard_before

    def visit_Module(self, node):
        node.body = [self.visit(it) if isinstance(it, ast.FunctionDef | ast.ClassDef) else it for it in node.body]
        return node

    def visit_ClassDef(self, node):
        node.body = [self.visit(it) if isinstance(it, ast.FunctionDef) else it for it in node.body]
        return node


def codes_of(code):
    """Every function's code in a module's, by where it stands."""
    for it in code.co_consts:
        if isinstance(it, CodeType):
            yield (it.co_qualname, it.co_firstlineno), it
            yield from codes_of(it)


def read_and_listened() -> tuple[Reading, dict[str, set[int]]]:
    """What was read, and the lines of the words that said it: followed by swapping their code for one that notes its
    line, as a tracer slows everything else down manyfold."""
    lines: dict[str, set[int]] = {}
    with pytest.MonkeyPatch.context() as patch:
        for module in [importlib.import_module(name) for name in names()]:
            path = module.__file__
            patch.setattr(module, HEARD, lines.setdefault(path, set()).add, raising=False)
            listened = dict(codes_of(compile(Listened().visit(ast.parse(Path(path).read_text())), path, "exec")))
            for one in functions_of(module):
                patch.setattr(one, "__code__", listened[one.__code__.co_qualname, one.__code__.co_firstlineno])
        reading = read_aloud()
    return reading, lines


def functions_of(module):
    """Its functions and the methods of its classes, whatever they are wrapped in."""
    for it in vars(module).values():
        within = vars(it).values() if inspect.isclass(it) else [it]
        for one in map(inspect.unwrap, (getattr(each, "fget", each) for each in within if each is not None)):
            if (
                inspect.isfunction(one)
                and one.__module__ == module.__name__
                and one.__code__.co_filename == module.__file__
            ):
                yield one


def names():
    return [
        it.name
        for it in pkgutil.walk_packages(words.__path__, "libella.words.")
        if not it.ispkg and not NOT_SENTENCES & set(it.name.split(".")) and not it.name.endswith("__main__")
    ]


@pytest.fixture(scope="session")
def heard() -> tuple[Reading, dict[str, set[int]]]:
    """What was read, and the lines of the words that said it; by whichever process of the run asks first."""
    folder = folder_of_run()
    with (folder / "heard.lock").open("a") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        kept = folder / "heard.pickle"
        if not kept.exists():
            kept.write_bytes(pickle.dumps(read_and_listened()))
        return pickle.loads(kept.read_bytes())
