# frozen_string_literal: true

require "open3"
require_relative "errors"

module NutShelf
  module Exchange
    # Turns the pages of a PDF into PNG pictures with Debian's poppler tools.
    module PdfPicture
      PROGRAM = "pdftoppm"

      # The program is not installed.
      class Missing < Error
      end

      module_function

      # @param pdf [String] bytes
      # @param dpi [Integer]
      # @param page [Integer] from 1
      # @return [String] PNG bytes of that page
      def page(pdf, dpi: 300, page: 1)
        output, error, status =
          Open3.capture3(
            PROGRAM,
            "-png",
            "-r",
            dpi.to_s,
            "-f",
            page.to_s,
            "-l",
            page.to_s,
            "-singlefile",
            "-",
            stdin_data: pdf,
            binmode: true
          )
        raise Missing, error unless status.success?

        output
      rescue Errno::ENOENT
        raise Missing, "#{PROGRAM} is not installed: apt-get install poppler-utils"
      end
    end
  end
end
