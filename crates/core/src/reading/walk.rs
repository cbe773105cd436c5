//! The one traversal of the syntax tree: holds the scopes, gathers declarations, comments, what leaves
//! each body, and what could not be read. Languages answer; none has a loop of its own over the tree.

use smol_str::{SmolStr, format_smolstr};

use super::flow::{self, Flow};
use super::mask::begin_of;
use super::node::Tree;
use super::{Action, Given, Grammar, Next, Node, Raised, Table, Wishes, gather};
use crate::model::{
    Answer, Body, Call, Carrier, CommentId, DeclId, Declaration, Dialect, Doc, Excuse, Kind, ModuleLink,
    Name, Origin, Outline, RawComment, Receiver, Surface, Thrown,
};
use crate::text::{Source, Span, narrow};

/// What a node opens for the nodes inside it.
#[derive(Clone, Debug)]
pub enum Scope {
    /// A declaration.
    Declaration(DeclId),
    /// A namespace, whose name qualifies what is inside.
    Namespace(SmolStr),
    /// A function value: what happens inside happens later, or for itself.
    Barrier,
    /// A block whose exceptions of these types are caught.
    Try(Vec<Name>),
    /// A handler: the caught variable and the types it holds.
    Handler(Option<Name>, Vec<Name>),
}

/// The state of a traversal, as grammars see it.
pub struct Walk<'t, N: 'static> {
    /// The source being read.
    pub source: &'t Source,
    /// What was found so far.
    pub outline: Outline,
    /// Whether the file is a test's, once a grammar has worked it out.
    pub is_test: Option<bool>,
    /// Names that the file gives out, under the name that they have in the file, where a grammar notes them.
    pub given_out: Vec<SmolStr>,
    /// Attributes seen and not yet claimed by the declaration that follows them.
    pub pending: Vec<Span>,
    /// Statements that bear on declarations around them: offset, owner, and what they say.
    pub notes: Vec<(u32, Option<DeclId>, SmolStr)>,
    /// The file is a module: what it does not give out is its own.
    pub is_module: bool,
    /// The text that the grammar was given, where it differs from the source's.
    given: Option<&'t str>,
    table: &'static Table<N>,
    scopes: Vec<(u32, Scope)>,
    depth: u32,
    /// The grammar stumbled somewhere; where it did not, no node is asked.
    stumbles: bool,
    /// The nodes from the root down to the current one.
    path: Vec<Node<'t>>,
    flows: Vec<Flow>,
    /// Scopes to be opened when a node further down is reached, by node id.
    waiting: Vec<(usize, Scope)>,
    /// Conditions of simple guards, by the id of the guarded throw.
    conditions: Vec<(usize, Span)>,
    /// Nodes that were declared with a wrapper around them, by id.
    declared: Vec<usize>,
    /// The braces of bodies that the grammar was not given, and in which something is called.
    left_out: Vec<u32>,
    /// The lines of comments that it was not given behind their first.
    runs: Vec<Span>,
    /// The node that the grammar is being asked about.
    current: Span,
    /// What is wanted besides.
    pub(super) wishes: Wishes<'t>,
}

impl<'t, N: Copy> Walk<'t, N> {
    /// Returns the text of a node.
    #[must_use]
    pub fn text(&self, node: Node<'_>) -> &'t str {
        self.source.slice(node.span())
    }

    /// Returns the span of a node.
    #[must_use]
    pub fn span(&self, node: Node<'_>) -> Span {
        node.span()
    }

    /// Returns the child of a node in a field.
    #[must_use]
    pub fn field<'n>(&self, node: Node<'n>, name: &'static str) -> Option<Node<'n>> {
        self.table.field(node, name)
    }

    /// Returns the grammar's name for a node, where it has one.
    #[must_use]
    pub fn kind(&self, node: Node<'_>) -> Option<N> {
        self.table.ask(node)
    }

    /// Returns the node around another. The library looks for it from the root down, through all siblings on the way;
    /// here the path to the current node is known.
    #[must_use]
    pub fn parent(&self, node: Node<'t>) -> Option<Node<'t>> {
        if let Some(at) = self.path.iter().rposition(|on_path| on_path.id() == node.id()) {
            return at.checked_sub(1).map(|above| self.path[above]);
        }
        let &current = self.path.last()?;
        if !current.span().contains(node.span()) {
            return node.parent();
        }
        let mut around = current;
        loop {
            let inner = around.child_with_descendant(node)?;
            if inner.id() == node.id() {
                return Some(around);
            }
            around = inner;
        }
    }

    /// Tells whether a node is a comment.
    #[must_use]
    pub fn is_comment(&self, node: Node<'_>) -> bool {
        matches!(self.table.action(node), Action::Comment)
    }

    /// Returns the named children that are no comments.
    #[must_use]
    pub fn children(&self, node: Node<'t>) -> Vec<Node<'t>> {
        let mut cursor = node.walk();
        node.named_children(&mut cursor).filter(|&child| !self.is_comment(child)).collect()
    }

    /// Takes back what the file gives out, since nobody can import it: it is seen in its package at most.
    pub fn give_nothing_out(&mut self) {
        for declaration in self.outline.declarations.iter_mut().filter(|found| found.kind != Kind::Package) {
            declaration.surface = declaration.surface.max(Surface::Package);
        }
    }

    /// Returns the innermost declaration around the current node.
    #[must_use]
    pub fn owner(&self) -> Option<DeclId> {
        self.scopes.iter().rev().find_map(|(_, scope)| match scope {
            Scope::Declaration(id) => Some(*id),
            Scope::Namespace(_) | Scope::Barrier | Scope::Try(_) | Scope::Handler(..) => None,
        })
    }

    /// Returns the kind of the innermost declaration around the current node.
    #[must_use]
    pub fn owner_kind(&self) -> Option<Kind> {
        self.owner().map(|id| self.outline.declaration(id).kind)
    }

    /// Tells whether the current node stands in code: a body, or a function value.
    #[must_use]
    pub fn in_code(&self) -> bool {
        self.scopes.iter().rev().find_map(|(_, scope)| match scope {
            Scope::Declaration(id) => Some(has_code(self.outline.declaration(*id).kind)),
            Scope::Barrier => Some(true),
            // What stands in a `try` outside all functions is declared like anything beside it.
            Scope::Namespace(_) | Scope::Try(_) | Scope::Handler(..) => None,
        }) == Some(true)
    }

    /// Begins a declaration: name, place, body, and whether it is local or a test's.
    #[must_use]
    pub fn start(&self, kind: Kind, name: Node<'_>, node: Node<'_>, body: Option<Node<'_>>) -> Declaration {
        let mut declaration = Declaration::new(kind, Name::new(self.text(name)), name.span(), node.span());
        declaration.span.start = begin_of(self.source, self.given, declaration.span.start);
        declaration.unasked = self.in_code();
        if self.is_test == Some(true) {
            declaration.excuses.push(Excuse::Tests);
        }
        if let Some(body) = body {
            declaration.header_end = body.span().start;
            declaration.body = Body::Present;
        }
        declaration
    }

    /// Adds a declaration and opens it for what is inside the current node.
    pub fn enter(&mut self, declaration: Declaration) -> DeclId {
        let id = self.declare(declaration);
        self.open(Scope::Declaration(id));
        id
    }

    /// Returns the first child of a kind.
    #[must_use]
    pub fn child(&self, node: Node<'t>, kind: N) -> Option<Node<'t>>
    where
        N: PartialEq,
    {
        let mut cursor = node.walk();
        node.named_children(&mut cursor).find(|&child| self.kind(child) == Some(kind))
    }

    /// Returns the children of a kind.
    #[must_use]
    pub fn children_of(&self, node: Node<'t>, kind: N) -> Vec<Node<'t>>
    where
        N: PartialEq,
    {
        let mut cursor = node.walk();
        node.named_children(&mut cursor).filter(|&child| self.kind(child) == Some(kind)).collect()
    }

    /// Adds a declaration, qualified and narrowed by its owner, without opening a scope.
    pub fn declare(&mut self, mut declaration: Declaration) -> DeclId {
        let owner = self.owner();
        declaration.owner = owner;
        declaration.qualified = self.qualify(&declaration.name);
        if self.in_code() {
            declaration.surface = Surface::Private;
        }
        if let Some(owner) = owner {
            declaration.surface = declaration.surface.max(self.outline.declaration(owner).surface);
        }
        let id = DeclId(narrow(self.outline.declarations.len()));
        self.outline.declarations.push(declaration);
        self.flows.push(Flow::default());
        id
    }

    fn qualify(&self, name: &Name) -> SmolStr {
        for (_, scope) in self.scopes.iter().rev() {
            match scope {
                // Modules qualify nothing.
                Scope::Declaration(id) if self.outline.declaration(*id).kind == Kind::Module => {}
                Scope::Declaration(id) => {
                    return format_smolstr!("{}.{name}", self.outline.declaration(*id).qualified);
                }
                Scope::Namespace(prefix) => return format_smolstr!("{prefix}.{name}"),
                Scope::Barrier | Scope::Try(_) | Scope::Handler(..) => {}
            }
        }
        SmolStr::new(name.as_str())
    }

    /// Returns the qualified name that a namespace `name` has here.
    #[must_use]
    pub fn namespace(&self, name: &str) -> SmolStr {
        self.qualify(&Name::new(name))
    }

    /// Opens a scope for the inside of the current node.
    pub fn open(&mut self, scope: Scope) {
        self.scopes.push((self.depth, scope));
    }

    /// Opens a scope for all that follows beside the current node, as file-scoped namespaces do.
    pub fn open_beside(&mut self, scope: Scope) {
        self.scopes.push((self.depth.saturating_sub(1), scope));
    }

    /// Opens a scope when the walk reaches `node`, which lies inside the current one.
    pub fn open_at(&mut self, node: Node<'_>, scope: Scope) {
        self.waiting.push((node.id(), scope));
    }

    /// Notes the condition that guards the throw at `node`, which lies inside the current one.
    pub fn guard_at(&mut self, node: Node<'_>, condition: Span) {
        self.conditions.push((node.id(), condition));
    }

    /// Takes the condition noted for a throw.
    pub fn take_condition(&mut self, node: Node<'_>) -> Option<Span> {
        let at = self.conditions.iter().rposition(|(id, _)| *id == node.id())?;
        Some(self.conditions.swap_remove(at).1)
    }

    /// Notes that `inner` was declared when its wrapper `outer` was seen.
    pub fn declared_at(&mut self, inner: Node<'_>, outer: Node<'_>) {
        if inner.id() != outer.id() {
            self.declared.push(inner.id());
        }
    }

    /// Tells, once, whether a node was declared with its wrapper.
    pub fn take_declared(&mut self, node: Node<'_>) -> bool {
        let at = self.declared.iter().rposition(|&id| id == node.id());
        at.is_some_and(|at| {
            self.declared.swap_remove(at);
            true
        })
    }

    fn flow(&mut self) -> Option<&mut Flow> {
        let id = self.body_owner()?;
        self.flows.get_mut(id.0 as usize)
    }

    /// Returns the declaration whose body the current node is in: what returns here, returns from it.
    #[must_use]
    pub fn body_owner(&self) -> Option<DeclId> {
        for (_, scope) in self.scopes.iter().rev() {
            match scope {
                Scope::Barrier => return None,
                Scope::Declaration(id) => {
                    return has_code(self.outline.declaration(*id).kind).then_some(*id);
                }
                Scope::Namespace(_) | Scope::Try(_) | Scope::Handler(..) => {}
            }
        }
        None
    }

    /// Tells whether the callable around the current node takes a parameter of this name.
    #[must_use]
    pub fn takes(&self, name: &str) -> bool {
        let callable = self.owner().map(|id| self.outline.declaration(id));
        callable.is_some_and(|callable| {
            callable.signature.parameters.iter().any(|parameter| parameter.named().is_some_and(|n| n == name))
        })
    }

    /// Notes that the body around the current node gives back a value, or perhaps does.
    pub fn returns(&mut self, value: Answer) {
        if let Some(flow) = self.flow() {
            match value {
                Answer::Yes => flow.value = true,
                Answer::Unknown => flow.perhaps_value = true,
                Answer::No => {}
            }
        }
    }

    /// Tells whether a declaration's body gives back a value, as far as was noted.
    #[must_use]
    pub fn returned(&self, id: DeclId) -> Answer {
        match self.flows.get(id.0 as usize) {
            Some(flow) if flow.value => Answer::Yes,
            Some(flow) if flow.perhaps_value => Answer::Unknown,
            Some(_) => Answer::No,
            None => Answer::Unknown,
        }
    }

    /// Settles whether a declaration's body, of which that was not sure, gives back a value.
    pub fn settle_returned(&mut self, id: DeclId, value: Answer) {
        if let Some(flow) = self.flows.get_mut(id.0 as usize) {
            (flow.value, flow.perhaps_value) = (value == Answer::Yes, value == Answer::Unknown);
        }
    }

    /// Notes that the body around the current node yields.
    pub fn yields(&mut self) {
        if let Some(flow) = self.flow() {
            flow.yields = true;
        }
    }

    /// Notes a call whose exceptions are not known.
    pub fn calls(&mut self) {
        if let Some(flow) = self.flow() {
            flow.opaque = true;
        }
        if self.wishes.calls {
            self.note_call();
        }
    }

    /// Notes what the module takes from another, where that is wished for.
    pub fn link(&mut self, link: impl FnOnce() -> ModuleLink) {
        if self.wishes.links {
            let link = link();
            self.outline.links.push(link);
        }
    }

    /// Tells whether it is wished for to know what modules take from each other.
    #[must_use]
    pub fn wants_links(&self) -> bool {
        self.wishes.links
    }

    /// Says how to go on from a statement in which nothing but calls matters.
    #[must_use]
    pub fn over_calls(&self) -> Next {
        if self.wishes.calls { Next::Into } else { Next::Over }
    }

    /// Notes the callee of the call that is the current node, with the types that handlers around it catch.
    fn note_call(&mut self) {
        let text = self.source.slice(self.current);
        let Some((receiver, name)) = callee(text) else { return };
        let (mut caught, mut caller) = (Vec::new(), None);
        for (_, scope) in self.scopes.iter().rev() {
            match scope {
                Scope::Try(types) => caught.extend(types.iter().cloned()),
                Scope::Declaration(id) => {
                    caller = Some(*id);
                    break;
                }
                // What a function value calls is called later.
                Scope::Barrier => return,
                Scope::Namespace(_) | Scope::Handler(..) => {}
            }
        }
        let Some(caller) = caller.filter(|id| has_code(self.outline.declaration(*id).kind)) else { return };
        let span =
            Span::new(self.current.start, self.current.start + narrow(text.find('(').unwrap_or(text.len())));
        self.outline.calls.push(Call { caller, receiver, name, span, caught });
    }

    /// Returns the lines that the grammar was not given because they go on with the comment that ends at `end`, without
    /// white space around them.
    pub(super) fn lines_behind(&self, end: u32) -> Vec<Span> {
        let Some(run) = self.runs.get(self.runs.partition_point(|run| run.start < end)) else {
            return Vec::new();
        };
        // A comment ends before its line does, or with it.
        let between = self.source.slice(Span::new(end, run.start));
        if !matches!(between, "" | "\n" | "\r\n") {
            return Vec::new();
        }
        let mut at = run.start;
        let lines = self.source.slice(*run).split_inclusive('\n').map(|line| {
            let start = at + narrow(line.len() - line.trim_start().len());
            at += narrow(line.len());
            Span::new(start, start + narrow(line.trim().len()))
        });
        lines.collect()
    }

    /// Notes what is called in a body of which the grammar was not given all.
    pub fn calls_left_out(&mut self, block: Node<'_>) {
        let block = block.span();
        let first = self.left_out.partition_point(|&at| at < block.start);
        // Comments may stand before the place that was noted.
        let before = |at: &u32| {
            *at <= block.start || self.source.slice(Span::new(block.start, *at)).trim_start().starts_with('#')
        };
        if self.left_out.get(first).is_some_and(|at| *at < block.end && before(at)) {
            self.calls();
        }
    }

    /// Tells whether a body holds no statement; one that was left out of what the grammar was given holds some.
    #[must_use]
    pub fn does_nothing(&self, body: Node<'t>) -> bool {
        let remark = |line: &str| line.is_empty() || line.starts_with(['/', '*', '#']);
        let inner = self.text(body).trim_start_matches('{').trim_end_matches('}');
        self.children(body).is_empty() && inner.lines().all(|line| remark(line.trim()))
    }

    /// Notes that something of unknown type is thrown.
    pub fn raises_unknown(&mut self) {
        if let Some(flow) = self.flow() {
            flow.raised_unknown = true;
        }
    }

    /// Notes that an exception is thrown at the current node.
    pub fn raises(&mut self, raised: Raised) {
        let mut handlers = Vec::new();
        for (_, scope) in self.scopes.iter().rev() {
            match scope {
                Scope::Try(caught) => handlers.extend(caught.iter().cloned()),
                Scope::Declaration(_) | Scope::Barrier => break,
                Scope::Namespace(_) | Scope::Handler(..) => {}
            }
        }
        match self.flow() {
            Some(flow) => flow.raised.push((raised, handlers)),
            // What a function value throws later may be told where it is made.
            None => self.passes_on(),
        }
    }

    /// Notes that the callable around a function value may pass on what that throws.
    fn passes_on(&mut self) {
        let around = self.scopes.iter().rev().find_map(|(_, scope)| match scope {
            Scope::Declaration(id) => Some(*id),
            Scope::Namespace(_) | Scope::Barrier | Scope::Try(_) | Scope::Handler(..) => None,
        });
        if let Some(flow) = around.and_then(|id| self.flows.get_mut(id.0 as usize)) {
            flow.opaque = true;
        }
    }

    /// Throws again what the innermost handler (or the one that holds `variable`) caught.
    ///
    /// Types that catch everything say nothing of what is thrown: `vague` names them.
    /// Returns false when no such handler is around the current node.
    pub fn rethrows(&mut self, variable: Option<&str>, at: Span, vague: &[&str]) -> bool {
        let found = self.scopes.iter().rev().map_while(|(_, scope)| match scope {
            Scope::Declaration(_) | Scope::Barrier => None,
            scope => Some(scope),
        });
        let caught = found.filter_map(|scope| match scope {
            Scope::Handler(name, types) => Some((name, types)),
            Scope::Declaration(_) | Scope::Namespace(_) | Scope::Barrier | Scope::Try(_) => None,
        });
        let types = caught
            .filter(|(name, _)| variable.is_none_or(|v| name.as_ref().is_some_and(|n| n == v)))
            .map(|(_, types)| types.clone())
            .next();
        let Some(types) = types else { return false };
        if types.is_empty() {
            self.raises_unknown();
        }
        for ty in types {
            if vague.contains(&ty.as_str()) {
                self.raises_unknown();
                continue;
            }
            self.raises(Raised { ty, span: at, origin: Origin::Body, exempt: false, condition: None });
        }
        true
    }

    /// Asks nothing for exceptions of some types that are thrown at a place.
    pub fn exempts(&mut self, at: Span, types: &[&str]) {
        let Some(flow) = self.flow() else { return };
        for (raised, _) in flow.raised.iter_mut().rev().take_while(|(raised, _)| raised.span == at) {
            raised.exempt |= types.contains(&raised.ty.as_str());
        }
    }

    /// Adds a comment that the language found where the grammar sees code.
    pub fn add_docstring(&mut self, at: Span, lines: Vec<Span>) -> CommentId {
        let id = CommentId(narrow(self.outline.comments.len()));
        self.outline.comments.push(RawComment {
            span: at,
            carrier: Carrier::Docstring,
            doc: true,
            standing: Doc::Yes,
            in_body: false,
            owner: self.owner(),
            attached: true,
            lines,
        });
        id
    }

    fn leave(&mut self, depth: u32) {
        while self.scopes.last().is_some_and(|(at, _)| *at >= depth) {
            self.scopes.pop();
        }
        self.depth = depth;
    }
}

/// Walks a tree and returns what it declares; comments are not attached yet.
pub(super) fn walk<G: Grammar>(
    grammar: &G,
    (source, wishes): (&Source, Wishes<'_>),
    tree: &Tree,
    given: Given<'_>,
) -> Outline {
    let text = given.masked().map(str::to_owned);
    let runs = given.runs().to_vec();
    let left_out = given.into_calls();
    let mut walk = Walk {
        source,
        outline: Outline::default(),
        is_test: None,
        given_out: Vec::new(),
        pending: Vec::new(),
        notes: Vec::new(),
        is_module: false,
        given: text.as_deref(),
        table: grammar.table(),
        scopes: Vec::new(),
        depth: 0,
        stumbles: tree.root().has_error(),
        path: Vec::new(),
        flows: Vec::new(),
        waiting: Vec::new(),
        conditions: Vec::new(),
        declared: Vec::new(),
        left_out,
        runs,
        wishes,
        current: Span::default(),
    };
    let mut cursor = tree.root().walk();
    let mut depth = 0;
    'nodes: loop {
        let node = cursor.node();
        walk.leave(depth);
        walk.path.push(node);
        if visit(grammar, &mut walk, node) == Next::Into && cursor.goto_first_child() {
            depth += 1;
            continue;
        }
        walk.path.pop();
        while !cursor.goto_next_sibling() {
            if !cursor.goto_parent() {
                break 'nodes;
            }
            walk.path.pop();
            depth -= 1;
        }
    }
    walk.leave(0);
    gather::sort(&mut walk.outline);
    doubt_broken(&mut walk.outline);
    grammar.finish(&mut walk);
    conclude(&mut walk, grammar.serves());
    walk.outline
}

fn visit<'t, G: Grammar>(grammar: &G, walk: &mut Walk<'t, G::Node>, node: Node<'t>) -> Next {
    if let Some(at) = walk.waiting.iter().rposition(|(id, _)| *id == node.id()) {
        let (_, scope) = walk.waiting.swap_remove(at);
        walk.open(scope);
    }
    if walk.stumbles && (node.is_error() || node.is_missing()) {
        note_unparsed(walk, node);
    }
    let next = match walk.table.action(node) {
        Action::Over => Next::Over,
        Action::Into => Next::Into,
        Action::Comment => {
            gather::take(grammar, walk, node);
            Next::Over
        }
        Action::Separator => {
            let separator = node.span();
            walk.outline.separators.push(separator);
            Next::Over
        }
        Action::Ask(kind) => {
            walk.current = node.span();
            grammar.enter(walk, node, kind)
        }
    };
    // What was not understood is noted wherever it stands.
    if next == Next::Over && walk.stumbles && node.has_error() {
        return Next::Into;
    }
    if next == Next::Over && walk.wishes.remarks {
        gather::take_inside(grammar, walk, node);
    }
    next
}

/// Notes an error range; errors inside an error are part of it.
fn note_unparsed<N: Copy>(walk: &mut Walk<'_, N>, node: Node<'_>) {
    let found = node.span();
    if walk.outline.unparsed.last().is_none_or(|last| !last.contains(found)) && !found.is_empty() {
        walk.outline.unparsed.push(found);
    }
}

/// Asks nothing of declarations whose own lines were not understood: what was made of them may be wrong.
fn doubt_broken(outline: &mut Outline) {
    let unparsed = &outline.unparsed;
    for declaration in &mut outline.declarations {
        let header = declaration.header();
        if unparsed.iter().any(|span| span.start <= header.end && header.start < span.end) {
            declaration.unasked = true;
            declaration.signature.hidden = true;
        }
    }
}

/// Turns what was seen in the bodies into signatures.
fn conclude<N>(walk: &mut Walk<'_, N>, language: &super::Language) {
    let hierarchy = language.hierarchy;
    let flows = std::mem::take(&mut walk.flows);
    let any = flows.iter().any(|flow| !flow.raised.is_empty());
    let throws: Vec<(usize, Vec<Thrown>)> = if any {
        let types = flow::LocalTypes::of(&walk.outline.declarations);
        let raising = flows.iter().enumerate().filter(|(_, flow)| !flow.raised.is_empty());
        raising.map(|(at, flow)| (at, thrown(flow, hierarchy, (&types, walk.source)))).collect()
    } else {
        Vec::new()
    };
    for (at, flow) in flows.iter().enumerate() {
        let declaration = &mut walk.outline.declarations[at];
        let (header_end, end) = (declaration.header_end, declaration.span.end);
        let signature = &mut declaration.signature;
        signature.opaque = flow.opaque;
        signature.throws_unknown = flow.raised_unknown;
        if flow.yields {
            signature.returns.yields = true;
            signature.returns.value = Answer::Unknown;
        } else if signature.returns.value == Answer::Unknown
            && signature.returns.ty.is_none()
            && declaration.body == Body::Present
        {
            signature.returns.value = match (flow.value, flow.perhaps_value) {
                (true, _) => Answer::Yes,
                (false, true) => Answer::Unknown,
                // A body that only throws stands for one that is to be written.
                (false, false)
                    if flow::only_throws(walk.source.slice(Span::new(header_end, end.max(header_end)))) =>
                {
                    // Whoever writes it names the parameters, where a call may have any.
                    signature.collects |=
                        language.dialect == Dialect::JavaScript && signature.parameters.is_empty();
                    Answer::Unknown
                }
                (false, false) => Answer::No,
            };
        }
    }
    for (at, mut thrown) in throws {
        let declaration = &walk.outline.declarations[at];
        let body = Span::new(declaration.header_end, declaration.span.end.max(declaration.header_end));
        if let [only] = &mut thrown[..]
            && flow::stands_for_another(only.ty.as_str(), walk.source.slice(declaration.header()))
            && flow::only_throws(walk.source.slice(body))
            && !flow::is_conditional(walk.source, only.span)
        {
            // What subclasses or other platforms do, they say.
            only.exempt = true;
        }
        walk.outline.declarations[at].signature.throws.extend(thrown);
    }
}

fn thrown(
    flow: &Flow,
    hierarchy: &super::Hierarchy,
    (types, source): (&dyn super::Types, &Source),
) -> Vec<Thrown> {
    let leaving = flow.raised.iter().map(|(raised, handlers)| Thrown {
        ty: raised.ty.clone(),
        span: raised.span,
        origin: raised.origin,
        leaves: flow::leaves(&raised.ty, handlers, hierarchy, types),
        exempt: raised.exempt || flow::never_happens(source, raised.span),
        condition: raised.condition,
        caught: handlers.clone(),
        via: None,
    });
    leaving.filter(|thrown| thrown.leaves != Answer::No).collect()
}

/// Returns what stands before the name in a call, and the name; nothing where the callee is no plain path.
fn callee(text: &str) -> Option<(Receiver, Name)> {
    let head = text.split(['(', '\n', '{']).next().unwrap_or_default().trim();
    let (made, head) = head.strip_prefix("new ").map_or((false, head), |rest| (true, rest.trim()));
    let head = head.strip_prefix("await ").unwrap_or(head);
    // A call without brackets has its first argument behind a space.
    let head = head.split(' ').next().unwrap_or_default();
    let head = head.split('<').next().unwrap_or_default();
    let plain =
        |c: char| c.is_alphanumeric() || matches!(c, '_' | '.' | '$' | '-' | '>' | ':' | '?' | '!' | '@');
    if head.is_empty() || !head.chars().all(plain) {
        return None;
    }
    let parts: Vec<&str> = head.split(['.', ':', '>', '-', '?']).filter(|part| !part.is_empty()).collect();
    let (&name, before) = parts.split_last()?;
    let name = Name::new(name.trim_start_matches('$'));
    if made {
        return Some((Receiver::Made, name));
    }
    let receiver = match before {
        [] => Receiver::None,
        ["this" | "self" | "$this" | "cls" | "static" | "Self"] => Receiver::Own,
        [ty] if ty.starts_with(char::is_uppercase) => Receiver::Type(Name::new(ty)),
        _ => Receiver::Other,
    };
    (receiver != Receiver::Other).then_some((receiver, name))
}

const fn has_code(kind: Kind) -> bool {
    !matches!(
        kind,
        Kind::Class
            | Kind::Interface
            | Kind::Struct
            | Kind::Enum
            | Kind::Trait
            | Kind::Record
            | Kind::Object
            | Kind::Union
            | Kind::Module
            | Kind::Package
            | Kind::File
            | Kind::EnumMember
    )
}
