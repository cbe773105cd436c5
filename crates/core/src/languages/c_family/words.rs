//! Words of C and C++ by what they can be in the head of a declaration.

/// Words with parentheses that say nothing of the signature.
pub(super) const ATTRIBUTES: &[&str] = &[
    "__attribute__", "__attribute", "__declspec", "__asm__", "__asm", "asm", "_Alignas", "__nonnull",
    "__pragma", "_Pragma",
];

/// Words that say nothing of the signature.
pub(super) const NOISE: &[&str] = &[
    "__extension__", "_Nullable", "_Nonnull", "_Null_unspecified", "__nullable", "__nonnull", "__restrict",
    "__restrict__", "restrict", "__inline", "__inline__", "__forceinline", "__cdecl", "__stdcall",
    "__fastcall", "__thiscall", "__vectorcall", "__clrcall", "_cdecl", "_stdcall", "_Noreturn", "__noreturn",
    "__volatile__", "__const", "__far", "__near", "__huge", "__always_inline", "__noinline", "__user",
    "__iomem", "__init", "__exit", "__must_check", "__pure", "__maybe_unused", "__unused", "__weak",
    "__packed", "__deprecated", "noinline", "__capability", "__ptr64", "__unaligned", "_Thread_local",
    "__thread", "__signed__", "__complex__", "_Complex", "_Imaginary", "__vector", "__pixel", "__bool",
    "_Cdecl", "_Pascal", "__pascal", "__regcall", "THIS_",
];

/// Words that are neither type nor name.
const QUALIFIERS: &[&str] = &[
    "const", "volatile", "static", "extern", "inline", "typedef", "register", "struct", "union", "enum",
    "thread_local", "constexpr",
];

/// The same of C++, where C may have names of them: `PressClass *class`.
const QUALIFIERS_OF_CPP: &[&str] = &[
    "virtual", "explicit", "consteval", "constinit", "friend", "typename", "mutable", "class", "export",
    "public", "private", "protected", "using", "namespace", "final",
];

/// Tells whether a word is neither type nor name.
pub(super) fn is_qualifier(word: &str, is_cpp: bool) -> bool {
    QUALIFIERS.contains(&word) || is_cpp && QUALIFIERS_OF_CPP.contains(&word)
}

/// Words that are types by themselves.
pub(super) const TYPES: &[&str] = &[
    "void", "char", "short", "int", "long", "float", "double", "signed", "unsigned", "bool", "auto", "_Bool",
    "wchar_t", "char8_t", "char16_t", "char32_t", "size_t", "__int8", "__int16", "__int32", "__int64",
    "__int128",
];

/// Words before parentheses that are no names of functions.
pub(super) const NO_NAMES: &[&str] =
    &["decltype", "alignas", "noexcept", "throw", "explicit", "requires", "typeof", "__typeof__", "sizeof"];

/// Words that may stand behind a list of parameters.
pub(super) const BEHIND_LISTS: &[&str] = &[
    "const", "volatile", "noexcept", "override", "final", "try", "requires", "throw", "mutable", "restrict",
];

/// Types of well-known libraries that are written in capitals.
pub(super) const CAPITAL_TYPES: &[&str] = &[
    "FILE", "DIR", "BOOL", "BYTE", "WORD", "DWORD", "LONG", "ULONG", "INT", "UINT", "CHAR", "UCHAR", "SHORT",
    "USHORT", "VOID", "HANDLE", "HMODULE", "HINSTANCE", "HWND", "HRESULT", "LRESULT", "LPVOID", "LPSTR",
    "LPCSTR", "LPWSTR", "LPCWSTR", "PVOID", "SIZE_T", "SSIZE_T", "SOCKET", "GUID", "TCHAR", "WCHAR", "FLOAT",
    "DOUBLE", "BIGNUM", "EVP_MD", "SSL", "SSL_CTX", "RSA", "X509", "BIO", "ENGINE", "ASN1_OBJECT", "UINT32",
    "INT32", "UINT64", "INT64", "UINT8", "INT8", "UINT16", "INT16", "CURL", "CURLM", "CURLSH", "XML_Parser",
    "MYSQL",
];

/// Parts of names that macros have and types do not.
pub(super) const MACRO_PARTS: &[&str] = &[
    "EXPORT", "IMPORT", "EXTERN", "API", "DECL", "CALL", "INLINE", "ATTR", "UNUSED", "DEPRECATED",
    "NODISCARD", "NORETURN", "CONSTEXPR", "NOEXCEPT", "INTERNAL", "PUBLIC", "PRIVATE", "STATIC", "VISIB",
    "LOCAL", "FORCE", "ALWAYS", "STDCALL", "CDECL", "WARN", "NONNULL", "CHECK", "GUARD", "BEGIN", "END",
    "FUNC", "HIDDEN", "DLL", "PURE", "COLD", "HOT", "CONST", "THROW", "RESTRICT", "ALIGN", "PACK", "WINAPI",
    "CALLBACK", "FAR", "MUST_", "OVERRIDE", "FINAL", "VIRTUAL", "EXPLICIT", "LIKELY", "NAMESPACE",
    "OPTIONAL_", "MALLOC", "FORMAT", "PRINTF",
];

/// Tells whether a word is in capitals and no type of a well-known library.
pub(super) fn is_capital(word: &str) -> bool {
    // `Press_EXPORT` is a macro as well.
    if word.ends_with("_EXPORT") {
        return true;
    }
    word.len() > 1
        && word.bytes().all(|b| b.is_ascii_uppercase() || b.is_ascii_digit() || b == b'_')
        && word.bytes().any(|b| b.is_ascii_uppercase())
        && !CAPITAL_TYPES.contains(&word)
}

/// Tells whether a word in capitals has a part that macros have.
pub(super) fn looks_like_macro(word: &str) -> bool {
    MACRO_PARTS.iter().any(|part| word.contains(part))
}

/// Tells whether a word can be no part of a declarator.
pub(super) fn is_capital_or_noise(word: &str) -> bool {
    is_capital(word) || NOISE.contains(&word)
}
