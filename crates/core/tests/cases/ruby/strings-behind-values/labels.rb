# Labels of crates.
class Labels
  # Writes a label.
  #
  # @param crate [Crate] what it is for
  # @param tray [Tray] what nothing takes
  # @return [String] the label
  def write(crate)
    text = "{"<<crate[:name]<<"}{|l|}{"<<crate.load.to_s<<"}"
    text<<'kg'
    text
  end

  # Reads a label.
  #
  # @param text [String] the label
  # @return [Crate] what it is for
  def read(text, strict)
    print <<"END", text
      # @param load [Integer] what is no comment
    END
END
    text
  end
end
