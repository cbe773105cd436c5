//! Members of classes of the Python standard library that are there to be overridden: their comments stand in its own
//! documentation.

use crate::reading::MembersOf;

/// Classes that others are derived from, with what they have.
pub(super) const MEMBERS: MembersOf = &[
    (
        &[
            "dict", "OrderedDict", "defaultdict", "Counter", "ChainMap", "UserDict", "Mapping",
            "MutableMapping",
        ],
        &[
            "clear", "copy", "fromkeys", "get", "items", "keys", "move_to_end", "pop", "popitem",
            "setdefault", "update", "values",
        ],
    ),
    (
        &["list", "UserList", "Sequence", "MutableSequence", "deque", "tuple"],
        &[
            "append", "appendleft", "clear", "copy", "count", "extend", "extendleft", "index", "insert",
            "pop", "popleft", "remove", "reverse", "sort",
        ],
    ),
    (
        &["set", "frozenset", "Set", "MutableSet"],
        &[
            "add",
            "clear",
            "copy",
            "difference",
            "difference_update",
            "discard",
            "intersection",
            "intersection_update",
            "isdisjoint",
            "issubset",
            "issuperset",
            "pop",
            "remove",
            "symmetric_difference",
            "symmetric_difference_update",
            "union",
            "update",
        ],
    ),
    (&["Generator", "AsyncGenerator", "Coroutine"], &["asend", "athrow", "aclose", "send", "throw", "close"]),
    (&["Exception", "BaseException"], &["with_traceback", "add_note"]),
    (
        &[
            "IOBase", "RawIOBase", "BufferedIOBase", "TextIOBase", "BytesIO", "StringIO", "FileIO",
            "BufferedReader", "BufferedWriter", "TextIOWrapper",
        ],
        &[
            "close", "detach", "fileno", "flush", "isatty", "read", "read1", "readable", "readall",
            "readinto", "readinto1", "readline", "readlines", "seek", "seekable", "tell", "truncate",
            "writable", "write", "writelines",
        ],
    ),
    (&["Thread", "Process", "Timer"], &["run", "start", "join"]),
    (&["Executor", "ThreadPoolExecutor", "ProcessPoolExecutor"], &["map", "shutdown", "submit"]),
    (
        &[
            "Handler", "StreamHandler", "FileHandler", "NullHandler", "RotatingFileHandler",
            "TimedRotatingFileHandler", "MemoryHandler", "QueueHandler", "SocketHandler",
        ],
        &["acquire", "close", "createLock", "emit", "flush", "format", "handle", "handleError", "release"],
    ),
    (
        &["Formatter"],
        &[
            "check_unused_args", "convert_field", "format", "formatException", "formatMessage",
            "formatStack", "formatTime", "format_field", "get_field", "get_value", "parse", "vformat",
        ],
    ),
    (&["Filter", "LoggerAdapter"], &["filter", "process"]),
    (&["JSONEncoder", "JSONDecoder"], &["decode", "default", "encode", "iterencode", "raw_decode"]),
    (&["HTMLParser"], &["close", "error", "feed", "handle_*", "reset", "unknown_decl"]),
    (&["NodeVisitor", "NodeTransformer"], &["generic_visit", "visit", "visit_*"]),
    (
        &[
            "BaseRequestHandler", "StreamRequestHandler", "DatagramRequestHandler", "BaseHTTPRequestHandler",
            "SimpleHTTPRequestHandler",
        ],
        &["do_*", "end_headers", "finish", "handle", "log_message", "log_request", "setup", "version_string"],
    ),
    (
        &["Cmd"],
        &[
            "complete_*", "completedefault", "default", "do_*", "emptyline", "help_*", "postcmd", "postloop",
            "precmd", "preloop",
        ],
    ),
    (&["Command"], &["initialize_options", "finalize_options", "run"]),
    (&["ArgumentParser"], &["error", "exit", "format_help", "format_usage", "parse_args", "print_help"]),
    (
        &["TestCase", "IsolatedAsyncioTestCase"],
        &[
            "asyncSetUp", "asyncTearDown", "id", "run", "setUp", "setUpClass", "shortDescription",
            "tearDown", "tearDownClass",
        ],
    ),
    (&["tzinfo"], &["dst", "fromutc", "tzname", "utcoffset"]),
    (
        &["Protocol", "BaseProtocol", "DatagramProtocol", "SubprocessProtocol", "BufferedProtocol"],
        &[
            "buffer_updated", "connection_lost", "connection_made", "data_received", "datagram_received",
            "eof_received", "error_received", "get_buffer", "pause_writing", "pipe_connection_lost",
            "pipe_data_received", "process_exited", "resume_writing",
        ],
    ),
    (
        &["Pickler", "Unpickler"],
        &["dump", "find_class", "load", "persistent_id", "persistent_load", "reducer_override"],
    ),
    (
        &["MetaPathFinder", "PathEntryFinder", "Loader", "SourceLoader", "InspectLoader"],
        &[
            "create_module", "exec_module", "find_module", "find_spec", "get_code", "get_data",
            "get_filename", "get_source", "invalidate_caches", "is_package", "load_module", "path_stats",
        ],
    ),
    (
        &["ContentHandler"],
        &[
            "characters", "endDocument", "endElement", "endElementNS", "ignorableWhitespace",
            "processingInstruction", "setDocumentLocator", "skippedEntity", "startDocument", "startElement",
            "startElementNS",
        ],
    ),
    (
        &["Queue", "LifoQueue", "PriorityQueue", "SimpleQueue"],
        &["empty", "full", "get", "get_nowait", "join", "put", "put_nowait", "qsize", "task_done"],
    ),
];
