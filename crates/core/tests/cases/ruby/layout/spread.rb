# Wägt.
# @param größe [Float] in kg
def wäge(
	größe, # in kg, (ja)
	b = { a: [1, "2, ("] }, c = ->(x, y) { x },
	d: <<~TEXT
		def fake(a); end
	TEXT
)
	größe
end
x = %w[def fake end]
# After.
def after a, b = 1
end
__END__
def gone(a); end
