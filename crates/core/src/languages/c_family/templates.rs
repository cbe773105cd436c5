//! Templates whose parameters and constraints a macro takes in parentheses: `template(class T)(requires C<T>) void f(T);`.

use super::lexer::{Lexeme, Sort, closing};

/// Makes angle brackets of the parentheses around the parameters of such templates, and blanks their constraints: in the
/// lexemes, which hold no comments, and in what the grammar is given.
pub(super) fn unwrap_templates(text: &str, code: &mut Vec<Lexeme>, out: &mut [u8]) {
    if memchr::memmem::find(text.as_bytes(), b"template(").is_none() {
        return;
    }
    let mut spare = vec![false; code.len()];
    for at in 0..code.len() {
        let is_template = code[at].sort == Sort::Word && &text[code[at].range()] == "template";
        if !is_template || !code.get(at + 1).is_some_and(|next| next.is(b'(')) {
            continue;
        }
        let Some(close) = closing(code, at + 1) else { break };
        let constrains = code.get(close + 1).is_some_and(|next| next.is(b'('))
            && code.get(close + 2).is_some_and(|next| &text[next.range()] == "requires");
        let Some(end) = constrains.then(|| closing(code, close + 1)).flatten() else { continue };
        for (bracket, sign) in [(at + 1, b'<'), (close, b'>')] {
            code[bracket].sort = Sort::Sign(sign);
            out[code[bracket].start] = sign;
        }
        for constraint in close + 1..=end {
            spare[constraint] = true;
            for byte in out[code[constraint].range()].iter_mut().filter(|byte| !matches!(byte, b'\n' | b'\r'))
            {
                *byte = b' ';
            }
        }
    }
    let mut spare = spare.into_iter();
    code.retain(|_| !spare.next().unwrap_or_default());
}
