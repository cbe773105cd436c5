//! SARIF 2.1.0 (OASIS), for programs that gather the results of many checks.

use serde_json::{Value, json};
use vinequill_core::model::Level;
use vinequill_core::rules;

use super::json::pretty;
use super::wire::{Finding, Review};

/// The schema of the standard.
const SCHEMA: &str =
    "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json";

/// The folder that paths are relative to.
const BASE: &str = "PROJECT";

/// Renders the report. `compares` tells whether findings were compared with accepted ones.
pub(crate) fn render(report: &Review<'_>, compares: bool) -> String {
    let results: Vec<Value> = report.findings.iter().map(|finding| result(finding, compares)).collect();
    pretty(&json!({
        "$schema": SCHEMA,
        "version": "2.1.0",
        "runs": [{
            "tool": { "driver": {
                "name": "vinequill",
                "semanticVersion": env!("CARGO_PKG_VERSION"),
                "rules": rules::ALL.iter().map(|rule| descriptor(rule)).collect::<Vec<_>>(),
            }},
            "columnKind": "unicodeCodePoints",
            "originalUriBaseIds": { BASE: { "description": { "text": "the folder of the project" } } },
            "results": results,
        }],
    }))
}

fn descriptor(rule: &rules::Rule) -> Value {
    let example = &rule.example;
    let markdown = format!(
        "Fires when {}. {}\n\n```{}\n{}```\n\nIs silent:\n\n```{}\n{}```\n",
        rule.says, rule.why, example.language, example.before, example.language, example.after
    );
    json!({
        "id": rule.id.as_str(),
        "shortDescription": { "text": rule.says },
        "fullDescription": { "text": format!("Fires when {}.", rule.says) },
        "help": { "text": rule.why, "markdown": markdown },
        "defaultConfiguration": {
            "enabled": rule.level != Level::None,
            "level": level(rule.level.as_str()),
        },
    })
}

/// The standard's own words; what is off has the least level where it is switched on.
fn level(level: &str) -> &str {
    if level == "none" { "note" } else { level }
}

fn result(finding: &Finding<'_>, compares: bool) -> Value {
    let mut out = json!({
        "ruleId": finding.rule,
        "ruleIndex": rules::ALL.iter().position(|rule| rule.id.as_str() == finding.rule),
        "level": level(&finding.level),
        "message": { "text": finding.message },
        "locations": [{
            "physicalLocation": place(&finding.path, Region::of(finding)),
        }],
        "partialFingerprints": { "vinequill/1": finding.fingerprint },
    });
    if !finding.declaration.is_empty() {
        out["locations"][0]["logicalLocations"] = json!([{ "fullyQualifiedName": finding.declaration }]);
    }
    if !finding.related.is_empty() {
        let related = finding.related.iter().enumerate().map(|(number, related)| {
            let region = Region {
                lines: (related.line, related.end_line),
                columns: (related.column, related.end_column),
                bytes: (related.start, related.end),
            };
            json!({
                "id": number,
                "message": { "text": related.label },
                "physicalLocation": place(&related.path, region),
            })
        });
        out["relatedLocations"] = related.collect();
    }
    if !finding.edits.is_empty() {
        let replacements = finding.edits.iter().map(|edit| {
            json!({
                "deletedRegion": { "byteOffset": edit.start, "byteLength": edit.end - edit.start },
                "insertedContent": { "text": edit.text },
            })
        });
        out["fixes"] = json!([{
            "artifactChanges": [{
                "artifactLocation": artifact(&finding.path),
                "replacements": replacements.collect::<Vec<_>>(),
            }],
        }]);
    }
    let accepted = finding.state == "accepted";
    if compares {
        out["baselineState"] = json!(if accepted { "unchanged" } else { "new" });
    }
    if let Some(reason) = &finding.reason {
        out["suppressions"] = json!([{ "kind": "inSource", "justification": reason }]);
    } else if accepted {
        out["suppressions"] = json!([{ "kind": "external" }]);
    }
    out
}

struct Region {
    lines: (u32, u32),
    columns: (u32, u32),
    bytes: (u64, u64),
}

impl Region {
    const fn of(finding: &Finding<'_>) -> Self {
        Self {
            lines: (finding.line, finding.end_line),
            columns: (finding.column, finding.end_column),
            bytes: (finding.start, finding.end),
        }
    }
}

fn place(path: &str, region: Region) -> Value {
    json!({
        "artifactLocation": artifact(path),
        "region": {
            "startLine": region.lines.0,
            "startColumn": region.columns.0,
            "endLine": region.lines.1,
            "endColumn": region.columns.1,
            "byteOffset": region.bytes.0,
            "byteLength": region.bytes.1.saturating_sub(region.bytes.0),
        },
    })
}

fn artifact(path: &str) -> Value {
    json!({ "uri": percent_encoded(path), "uriBaseId": BASE })
}

/// Encodes a path as a relative URI (RFC 3986, 3.3): all but unreserved characters and the signs of a path.
fn percent_encoded(path: &str) -> String {
    let plain = |byte: u8| byte.is_ascii_alphanumeric() || b"-._~/!$&'()*+,;=@".contains(&byte);
    let mut out = String::with_capacity(path.len());
    for byte in path.bytes() {
        if plain(byte) {
            out.push(char::from(byte));
        } else {
            out.push_str(&format!("%{byte:02X}"));
        }
    }
    out
}

#[cfg(test)]
mod tests {
    use super::percent_encoded;

    #[test]
    fn paths_become_uris() {
        assert_eq!(percent_encoded("src/a b/ü#1.py"), "src/a%20b/%C3%BC%231.py");
    }
}
